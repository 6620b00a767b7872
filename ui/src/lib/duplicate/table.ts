import type { DuplicateGroup, DuplicateMember } from '$lib/api/client';

/** Fields in which tools of a group differ that have columns of their own anyway. */
const ELSEWHERE = new Set(['NAME', 'CLASS', 'NOTES']);

/** The values in which tools of a group differ: a column each, a text for each tool. */
export interface DifferenceTable {
  /** Those first of which each tool says something. */
  fields: string[];
  /** What a tool says of a field; empty where it says nothing. */
  text: (member: DuplicateMember, field: string) => string;
}

/** Differences are told against the first tool of the group; a table tells what each one says. */
export function differenceTable(group: DuplicateGroup): DifferenceTable {
  const first = new Map<string, string>();
  for (const member of group.members) {
    for (const { field, here } of member.differences) {
      if (!ELSEWHERE.has(field)) first.set(field, here);
    }
  }
  const text = (member: DuplicateMember, field: string) =>
    member.differences.find((one) => one.field === field)?.there ?? first.get(field) ?? '';
  const silent = (field: string) => group.members.some((member) => !text(member, field));
  const fields = [...first.keys()].sort();
  return {
    fields: [...fields.filter((field) => !silent(field)), ...fields.filter(silent)],
    text
  };
}

/** Values that are taken from tools other than the kept one, as a merge is ordered. */
export function takenValues(
  chosen: Record<string, number>,
  kept: number,
  merged: number[]
): Record<string, number> {
  return Object.fromEntries(
    Object.entries(chosen).filter(([, tool]) => tool !== kept && merged.includes(tool))
  );
}

/**
 * The tool that is kept unless somebody says another: the one to which most refers, of two alike
 * the one that states more.
 */
export function keptFirst(group: DuplicateGroup): number {
  const { fields, text } = differenceTable(group);
  const stated = (member: DuplicateMember) => fields.filter((field) => text(member, field)).length;
  const weight = (member: DuplicateMember) =>
    member.proven * 1000 +
    member.planned * 500 +
    member.usedIn.length * 100 +
    member.stacks * 10 +
    Math.min(9, stated(member));
  return [...group.members].sort((one, other) => weight(other) - weight(one))[0].toolId;
}
