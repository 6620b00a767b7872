import { changeClass, checkDraft } from './queries';
import { type Finding, type Sheet, type ToolAnswer, type Typed } from '$lib/api/client';
import { failed } from '$lib/shell/toast';
import { settings } from '$lib/shell/settings.svelte';

/** The text of a value in the unit that is looked at. */
function inUnit(value: { text: string; mm?: string; inch?: string }): string {
  return (settings.unit === 'mm' ? value.mm : value.inch) ?? value.text;
}

/** A tool being written: what was typed, and what the rules answer to it. */
export class Draft {
  code = $state('');
  name = $state('');
  classId = $state('');
  values = $state<Record<string, Typed>>({});
  /** By heading; a plain note under the empty one. */
  notes = $state<Record<string, string>>({});
  answer = $state<ToolAnswer | null>(null);
  changed = $state(false);
  /** The property whose field has the focus. */
  focus = $state<string | null>(null);
  /** What a change of class left out, by symbol. */
  dropped = $state<Record<string, Typed>>({});
  #asked = 0;
  #becoming = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** Begins with what the server proposes. */
  begin(proposal: {
    code: string;
    name: string;
    classId: string;
    values: Record<string, Typed>;
    notes?: Record<string, string>;
  }) {
    this.code = proposal.code;
    this.name = proposal.name;
    this.classId = proposal.classId;
    this.values = proposal.values;
    this.notes = proposal.notes ?? {};
    this.check();
  }

  static of(sheet: Sheet): Draft {
    const draft = new Draft();
    draft.code = sheet.code;
    draft.name = sheet.name;
    draft.classId = sheet.classId;
    draft.answer = sheet.answer;
    draft.notes = { ...sheet.notes };
    draft.values = Object.fromEntries(
      Object.entries(sheet.answer.values).map(([symbol, value]) => [
        symbol,
        { text: value.formula ?? value.text, unit: value.unit, defaulted: value.defaulted }
      ])
    );
    return draft;
  }

  /** What is sent: it stays as it is, whatever is typed later. */
  get body() {
    return $state.snapshot({
      code: this.code,
      name: this.name,
      classId: this.classId,
      values: this.values,
      notes: this.notes
    });
  }

  /** What was typed since a body was sent: the name where it changed, and values. */
  since(sent: Draft['body']): { name?: string; values: Record<string, Typed> } {
    const values = Object.entries(this.values).filter(
      ([symbol, value]) => value.text !== (sent.values[symbol]?.text ?? '')
    );
    return {
      name: this.name === sent.name ? undefined : this.name,
      values: Object.fromEntries(values)
    };
  }

  /** Puts what was typed meanwhile on top. */
  add({ name, values }: ReturnType<Draft['since']>) {
    if (name === undefined && Object.keys(values).length === 0) return;
    this.changed = true;
    this.name = name ?? this.name;
    this.values = { ...this.values, ...values };
    this.check();
  }

  readonly findings = $derived(this.answer?.findings ?? []);
  readonly holds = $derived(this.findings.filter((finding) => finding.severity === 'HOLD'));

  /** True where nothing stands against it but values that are still to be given. */
  readonly unfinished = $derived(
    this.holds.length > 0 && this.holds.every(({ code }) => code.startsWith('missing.'))
  );

  /** Required values that nobody has given yet: told, not blamed. */
  readonly needed = $derived(
    this.findings.filter((finding) => finding.code.startsWith('missing.'))
  );

  finding(symbol: string): Finding | undefined {
    return this.findings.find((finding) => finding.properties[0] === symbol);
  }

  /** What a field shows while nobody types in it. */
  shown(symbol: string): string {
    const value = this.answer?.values[symbol];
    const typed = this.values[symbol];
    const implied = this.answer?.implied[symbol]?.value;
    if (implied && this.follows(symbol)) {
      return inUnit(implied);
    }
    if (!typed?.text) {
      return '';
    }
    if (!value || this.finding(symbol)?.code === 'not-a-number') {
      return typed.text;
    }
    return inUnit(value);
  }

  /** By which formula a value follows from others. */
  formula(symbol: string): string | undefined {
    return this.answer?.values[symbol]?.formula;
  }

  /** Writes a note, or takes it out where nothing is left of it. */
  note(heading: string, text: string) {
    this.changed = true;
    const others = Object.entries(this.notes).filter(([known]) => known !== heading);
    this.notes = Object.fromEntries(text.trim() === '' ? others : [...others, [heading, text]]);
  }

  /** True where something follows, and nobody wrote a value that stands before it. */
  private follows(symbol: string): boolean {
    const typed = this.values[symbol];
    const outdone = typed?.defaulted === true && !this.answer?.values[symbol];
    return Boolean(this.answer?.implied[symbol]) && (!typed?.text || outdone);
  }

  /** Where a value comes from that nobody wrote down. */
  origin(symbol: string): string | undefined {
    return this.follows(symbol) ? this.answer?.implied[symbol]?.origin : undefined;
  }

  /** What a field shows while somebody types in it: as authored, with a unit that is not the view's. */
  authored(symbol: string): string {
    const typed = this.values[symbol];
    if (!typed || this.follows(symbol)) {
      return '';
    }
    const other = typed.unit && typed.unit !== settings.unit && ['mm', 'in'].includes(typed.unit);
    return other ? `${typed.text} ${typed.unit}` : typed.text;
  }

  type(symbol: string, text: string, length: boolean) {
    this.changed = true;
    const field = this.answer?.fields.find((known) => known.symbol === symbol);
    const known = field?.unit;
    this.values[symbol] = { text, unit: length ? settings.unit : known, defaulted: false };
    this.check();
  }

  /**
   * Changes the class once the server has answered for it: what still applies stays, the rest is
   * put aside, defaults come in. Where another class was chosen since, that one counts.
   */
  async become(classId: string) {
    const mine = ++this.#becoming;
    const sent = { ...this.values };
    const changed = await changeClass({
      tool: { ...this.body, values: sent },
      toClass: classId,
      aside: this.dropped
    });
    if (mine !== this.#becoming) return;
    // What somebody typed since then stays.
    const since = Object.entries(this.values).filter(
      ([symbol, value]) => value.text !== sent[symbol]?.text
    );
    this.changed = true;
    this.classId = classId;
    this.values = { ...changed.tool.values, ...Object.fromEntries(since) };
    this.dropped = changed.aside;
    this.#asked++;
    this.answer = changed.answer;
    this.check();
  }

  /** Keeps what a change of class left out all the same. */
  keepDropped() {
    this.values = { ...this.dropped, ...this.values };
    this.dropped = {};
    this.check();
  }

  /** Stands by a default, or writes down what follows from other values. */
  confirm(symbol: string) {
    this.changed = true;
    const implied = this.origin(symbol) && this.answer?.implied[symbol]?.value;
    const value = implied ? { text: implied.text, unit: implied.unit } : this.values[symbol];
    this.values[symbol] = { ...value, defaulted: false };
    this.check();
  }

  repair(changes: Record<string, string>) {
    this.changed = true;
    for (const [symbol, text] of Object.entries(changes)) {
      if (symbol === 'CLASS') {
        this.become(text).catch(failed);
      } else if (symbol === 'CODE') {
        this.code = text;
      } else {
        this.values[symbol] = { text, defaulted: false };
      }
    }
    this.check();
  }

  /** Asks the rules, at most every 30 ms; an older answer never replaces a newer one. */
  check() {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#ask().catch(failed), 30);
  }

  async #ask() {
    const asked = ++this.#asked;
    const answer = await checkDraft(this.body);
    if (asked === this.#asked) {
      this.answer = answer;
    }
  }
}
