import { describe, expect, it } from 'vitest';
import { Problem } from '$lib/api/client';
import { faultsOf } from './faults';

const said = (...faults: string[]) => faultsOf(new Problem(400, faults.join('; '), { faults }));

describe('faults of a definition', () => {
  it('are as many as there are, also where they are alike', () => {
    const beyond = (index: number, number: number) =>
      `storages[0].turret.stations[${index}].number: station ${number} is beyond the last; there are 1 to 12`;
    expect(said(beyond(6, 14), beyond(7, 16))).toEqual([
      'storage 1, turret: station 14 is beyond the last; there are 1 to 12',
      'storage 1, turret: station 16 is beyond the last; there are 1 to 12'
    ]);
  });

  it('are where the form has them', () => {
    expect(
      said('id: 1 to 12 letters', 'storages[1].limits.diameterFull: it must be above 0')
    ).toEqual(['id: 1 to 12 letters', 'storage 2, Ø beside taken: it must be above 0']);
    expect(said('storages[1]: place 5 is one of storages[0] too')).toEqual([
      'storage 2: place 5 is one of storage 1 too'
    ]);
    expect(said('spindles[2].rpm: state it')).toEqual(['spindle 3, speed: state it']);
  });

  it('are the refusal itself where it is another one', () => {
    expect(faultsOf(new Error('the server does not answer; try again'))).toEqual([
      'the server does not answer; try again'
    ]);
  });
});
