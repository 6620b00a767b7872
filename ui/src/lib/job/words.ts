import type { JobHead, JobView } from '$lib/api/client';
import { count } from '$lib/shell/text';

/** How far the load of the machine serves a job. */
export function servedInWords({ tools, missing, machineName }: JobHead): string {
  if (machineName == null) return 'its machine was retired';
  if (tools === 0) return 'calls no tool yet';
  if (missing === 0) return 'all in the load';
  return missing === tools ? 'none in the load' : `${count(missing, 'tool')} not in the load`;
}

type UsedTool = Pick<JobView['tools'][number], 'uses' | 'usualUses'>;

/** What a program does with a tool. */
export const usesText = ({ uses, usualUses }: UsedTool): string =>
  (uses.length > 0 ? uses : usualUses).join(', ');

/** What every program does with its tools. */
export const ALWAYS = 'plain moves';
