import type { Trust } from '$lib/api/client';
import { count, moment } from '$lib/shell/text';

/** A reason to trust a tool, or not to. */
export interface TrustReason {
  kind: 'pass' | 'note' | 'query' | 'hold';
  text: string;
}

const DEEDS = {
  DRAFT: 'Draft',
  CHECKED: 'Checked',
  RELEASED: 'Released',
  RETIRED: 'Retired'
} as const;

/** Why a tool can be trusted, or not, in sentences. */
export function trustReasons(trust: Trust): TrustReason[] {
  const { standing, by, at, changedSince, proven, measured, asked, open } = trust;
  const stands = by && at ? `${DEEDS[standing]} by ${by}, ${moment(at)}` : DEEDS[standing];
  const reasons: TrustReason[] = [
    {
      kind: standing === 'RELEASED' ? 'pass' : standing === 'CHECKED' ? 'note' : 'query',
      text: stands
    }
  ];
  if (changedSince.length > 0) {
    const [newest] = changedSince;
    reasons.push({
      kind: 'query',
      text: `Changed since, ${count(changedSince.length, 'time')}, last by ${newest.by}, ${moment(newest.at)}`
    });
  }
  for (const one of proven) {
    const where = one.machine || 'a machine that was not named';
    reasons.push({
      kind: 'pass',
      text: `Proven at ${where}, ${count(one.times, 'line')} of cutting data, last by ${one.by}, ${moment(one.last)}`
    });
  }
  if (proven.length === 0) reasons.push({ kind: 'note', text: 'Not proven at a machine' });
  reasons.push(
    measured
      ? {
          kind: 'pass',
          text: `Measured at ${measured.machine} by ${measured.by}, ${moment(measured.at)}`
        }
      : { kind: 'note', text: 'Not measured yet' }
  );
  reasons.push(
    open.length === 0
      ? { kind: 'pass', text: `Passes all ${asked} rules of its class` }
      : {
          kind: open.some(({ severity }) => severity === 'HOLD') ? 'hold' : 'query',
          text: `${open.length} of ${count(asked, 'rule')} of its class object`
        }
  );
  return reasons;
}
