import type { Permission, Role } from '$lib/api/client';

/** Roles with what each does. */
export const roles: { value: Role; label: string; does: string }[] = [
  { value: 'LEAD', label: 'lead', does: 'organises libraries, accounts and machines' },
  {
    value: 'PROGRAMMER',
    label: 'programmer',
    does: 'changes tools and libraries, takes deliveries'
  },
  { value: 'TOOLROOM', label: 'toolroom', does: 'loads machines, writes tool tables' },
  { value: 'OPERATOR', label: 'operator', does: 'measures and carries tools at the machine' },
  { value: 'VISITOR', label: 'visitor', does: 'looks' }
];

export const roleWord = (role: Role): string =>
  roles.find(({ value }) => value === role)?.label ?? role;

/** What a key may be given besides looking, in words. */
export const scopes: Record<Permission, string> = {
  EDIT: 'change libraries and tools',
  PROPOSE: 'propose changes',
  RECEIVE: 'bring and take deliveries',
  LOAD: 'change load plans and write tool tables',
  HANDLE: 'assemble, measure and carry physical tools',
  PROVE: 'say which cutting data proved good',
  MANAGE_ACCOUNTS: 'invite people and change accounts'
};

export function scopesWords(given: Permission[]): string {
  return given.length === 0 ? 'look' : ['look', ...given.map((scope) => scopes[scope])].join(', ');
}

/** All of a role but those who are named. */
export const allOthers: Record<Role, string> = {
  LEAD: 'all other leads',
  PROGRAMMER: 'all other programmers',
  TOOLROOM: 'all others in the toolroom',
  OPERATOR: 'all other operators',
  VISITOR: 'all other visitors'
};
