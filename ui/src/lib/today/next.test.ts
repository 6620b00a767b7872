import { describe, expect, it } from 'vitest';
import type {
  Delivery,
  LibraryRow,
  MachineView,
  ProposalHead,
  Reconciliation
} from '$lib/api/client';
import {
  nextAtMachines,
  nextInDeliveries,
  nextInLibraries,
  nextInLinks,
  nextInProposals
} from './next';

const delivery = (parts: Partial<Delivery>) =>
  ({
    id: 3,
    name: 'mills.csv',
    state: 'ready',
    pass: 0,
    query: 0,
    hold: 0,
    taken: 0,
    others: 0,
    ...parts
  }) as Delivery;

const view = (plan: object[]) =>
  ({
    machine: { id: 'M1', name: 'M1 Heron' },
    linked: true,
    placeWord: 'pocket',
    plan
  }) as unknown as MachineView;
const table = (states: string[]) =>
  ({ items: states.map((state) => ({ state })) }) as unknown as Reconciliation;

const proposal = (parts: Partial<ProposalHead>) =>
  ({
    id: 7,
    library: 'Marram milling',
    state: 'OPEN',
    madeBy: 'anna',
    changes: 2,
    taken: 0,
    mine: false,
    toMe: true,
    seen: false,
    ...parts
  }) as ProposalHead;

describe('what to do next', () => {
  it('asks whoever may answer a proposal', () => {
    const [one] = nextInProposals([proposal({})]);
    expect(`${one.number} ${one.text}`).toBe('2 changes of Marram milling proposed by anna');
    expect(one).toMatchObject({ act: 'Answer', href: '/proposals/7' });
    expect(nextInProposals([proposal({ toMe: false })])).toEqual([]);
    const [own] = nextInProposals([proposal({ state: 'COLLECTED', mine: true })]);
    expect(own.text).toContain('have not proposed');
  });

  it('counts links that lead nowhere', () => {
    const end = { kind: 'MACHINE' as const, id: 'M1', name: 'M1 Heron' };
    const sound = { from: end, to: end, relation: 'serves', aims: [] };
    expect(nextInLinks([sound], true)).toEqual([]);
    const [one] = nextInLinks([sound, { ...sound, stray: 'it was retired' }], true);
    expect(`${one.number} ${one.text}`).toBe('1 link that leads nowhere');
    expect(one).toMatchObject({ act: 'Set anew', href: '/links' });
  });

  it('tells whoever proposed of the answer until he has read it', () => {
    const answered = { state: 'ANSWERED', mine: true, toMe: false, answeredBy: 'lead' } as const;
    const [one] = nextInProposals([proposal({ ...answered, taken: 1 })]);
    expect(`${one.number} ${one.text}`).toBe('1 of your 2 changes of Marram milling taken by lead');
    expect(nextInProposals([proposal({ ...answered, seen: true })])).toEqual([]);
  });

  it('says of a delivery what waits, the gravest first', () => {
    const next = nextInDeliveries([delivery({ hold: 2, query: 1, pass: 46, taken: 6 })], true);
    expect(next.map(({ number, text }) => `${number} ${text}`)).toEqual([
      '2 lines of mills.csv cannot enter yet',
      '1 line of mills.csv to look at',
      '40 tools of mills.csv can be taken'
    ]);
    expect(next[0]).toMatchObject({ href: '/receiving/3', act: 'Correct them' });
  });

  it('is silent about what is done or still being read', () => {
    expect(nextInDeliveries([delivery({ pass: 5, taken: 5 })], true)).toEqual([]);
    expect(nextInDeliveries([delivery({ state: 'reading', hold: 3 })], true)).toEqual([]);
  });

  it('says that a file could not be read', () => {
    expect(nextInDeliveries([delivery({ state: 'failed' })], false)[0].act).toBe('See why');
  });

  it('says what is apart, asked and not measured at a machine', () => {
    const plan = [
      { measures: [{ needed: true, value: '100' }, { needed: false }], questions: [] },
      { measures: [{ needed: true, value: '90' }], questions: ['is it 90?'] },
      { measures: [{ needed: true }], questions: [] }
    ];
    const next = nextAtMachines(
      [{ view: view(plan), table: table(['in step', 'differs', 'unknown tool']) }],
      true
    );
    expect(next.map(({ number, text }) => `${number} ${text}`)).toEqual([
      '2 pockets of M1 Heron out of step with its control',
      '1 measure of M1 Heron to look at',
      '1 planned tool of M1 Heron not measured yet'
    ]);
  });

  it('asks for a comparison where there was none, and only then', () => {
    expect(nextAtMachines([{ view: view([]), table: null }], true)).toHaveLength(1);
    expect(nextAtMachines([{ view: view([]), table: undefined }], true)).toEqual([]);
    const unlinked = { ...view([]), linked: false };
    expect(nextAtMachines([{ view: unlinked, table: null }], true)).toEqual([]);
  });

  it('offers those who may only look to look', () => {
    const next = nextAtMachines([{ view: view([]), table: table(['differs']) }], false);
    expect(next.map(({ act }) => act)).toEqual(['Look']);
  });

  it('asks those who may to take newer editions in and to look at outlets', () => {
    const row = (right: string) =>
      ({
        id: 3,
        name: 'Heron milling',
        right,
        base: 'Marram milling',
        baseEdition: 2,
        staleOutlets: 1
      }) as LibraryRow;
    expect(
      nextInLibraries([row('OWNER')]).map(({ number, text, href }) => `${number} ${text} ${href}`)
    ).toEqual([
      '1 newer edition of Marram milling for Heron milling /libraries/3/base',
      '1 outlet of Heron milling out of date /outlets'
    ]);
    expect(nextInLibraries([row('USE')])).toEqual([]);
    expect(nextInLibraries([{ ...row('OWNER'), baseEdition: 0, staleOutlets: 0 }])).toEqual([]);
  });
});
