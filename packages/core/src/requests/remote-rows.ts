/**
 * A table whose rows lie behind a service. What a person changes shows at once, is sent, and is taken back where the service
 * refuses it. One row has one question under way; what changes meanwhile is sent when that is answered.
 */

import { isRecord } from '../document/record.ts';
import { ownValue, same } from '../document/same.ts';
import type { RemoteTable } from '../document/source.ts';
import type { Row } from '../document/table.ts';
import type { Asked } from './asker.ts';
import { wireText } from './wire-text.ts';

/** What is asked for a row. */
export type RowAction = Exclude<keyof RemoteTable, 'list'>;

/** Where a table is, and who is asked. */
export interface RemoteHost {
  /** The rows as the page has them. */
  read(): readonly Row[];
  hold(rows: readonly Row[]): void;
  /** Whether something is asked for such a change. */
  asks(action: RowAction): boolean;
  /** @param before what the service has of the row. @returns undefined where it was given up. */
  ask(action: RowAction, row: Row, before: Row | undefined): Promise<Asked | undefined>;
  /** Asks for all rows once more. */
  listAgain(): void;
  /** Something was refused and is taken back; a sentence for the person. */
  tell(sentence: string): void;
  /** Waits until nothing more is typed. */
  settle(then: () => void): void;
}

/** Statuses that say that somebody else was quicker (RFC 9110 §15.5.10, §15.5.13) or has taken it away (§15.5.5). */
const overtaken: ReadonlySet<number> = new Set([404, 409, 412]);

export class RemoteRows {
  /** What the service has, by key. */
  readonly #confirmed = new Map<string, Row>();
  readonly #underWay = new Set<string>();
  /** Keys of rows that are under way and that the service lists no more. */
  readonly #unlisted = new Set<string>();
  #holding = false;
  #isListed = false;

  /** @param key the column that tells rows apart. */
  constructor(
    private readonly key: string,
    private readonly host: RemoteHost,
  ) {}

  #keyOf(row: Row): string {
    return wireText(ownValue(row, this.key));
  }

  /**
   * The service has told the rows that it lists now. What is being sent stays as the person has it, and, where it is not listed
   * any more, until it is answered: a row that a list leaves out is not one that somebody removed.
   */
  listed(list: unknown): void {
    const rows = (Array.isArray(list) ? list : []).filter(isRecord);
    const mine = new Map(this.host.read().map((row) => [this.#keyOf(row), row]));
    const isOpen = (key: string) => this.#underWay.has(key);
    const come = new Map(rows.map((row) => [this.#keyOf(row), row]));
    const open = [...mine].flatMap(([key, row]) => (isOpen(key) && !come.has(key) ? [row] : []));
    const shown = [...come].flatMap(([key, row]) => {
      if (!isOpen(key)) return [row];
      const own = mine.get(key);
      return own ? [own] : [];
    });
    this.#unlisted.clear();
    for (const key of [...this.#confirmed.keys()]) {
      if (!isOpen(key)) this.#confirmed.delete(key);
      else if (!come.has(key)) this.#unlisted.add(key);
    }
    for (const [key, row] of come) if (!isOpen(key)) this.#confirmed.set(key, row);
    this.#isListed = true;
    this.#hold([...shown, ...open]);
  }

  /** The rows are what another window has made of them, which sends what is to be sent. */
  heard(): void {
    if (this.#holding) return;
    const rows = new Map(this.host.read().map((row) => [this.#keyOf(row), row]));
    for (const key of [...this.#confirmed.keys()])
      if (!rows.has(key) && !this.#underWay.has(key)) this.#confirmed.delete(key);
    for (const [key, row] of rows) if (!this.#underWay.has(key)) this.#confirmed.set(key, row);
  }

  /** The page's rows are others now. */
  changed(): void {
    if (this.#holding || !this.#isListed) return;
    const rows = new Map(this.host.read().map((row) => [this.#keyOf(row), row]));
    for (const [key, row] of rows) {
      if (this.#underWay.has(key)) continue;
      const before = this.#confirmed.get(key);
      if (!before) this.#send('add', key, row);
      else if (!same(before, row)) this.#change(key);
    }
    for (const [key, before] of this.#confirmed)
      if (!rows.has(key) && !this.#underWay.has(key)) this.#send('remove', key, before, before);
  }

  /** A change is sent once nothing more is typed. */
  #change(key: string): void {
    this.#underWay.add(key);
    this.host.settle(() => {
      this.#underWay.delete(key);
      const row = this.#rowOf(key);
      const before = this.#confirmed.get(key);
      if (row && before && !same(before, row)) {
        this.#send('change', key, row, before);
        return;
      }
      this.#leaveOut(key);
      this.changed();
    });
  }

  #rowOf(key: string): Row | undefined {
    return this.host.read().find((row) => this.#keyOf(row) === key);
  }

  #hold(rows: readonly Row[]): void {
    this.#holding = true;
    this.host.hold(rows);
    this.#holding = false;
  }

  #send(action: RowAction, key: string, row: Row, before?: Row): void {
    // What nobody is asked for stays on the page.
    if (!this.host.asks(action)) {
      this.#confirm(action, key, row);
      return;
    }
    this.#underWay.add(key);
    void this.host.ask(action, row, before).then((asked) => {
      this.#underWay.delete(key);
      if (asked?.sentence === '') this.#taken(action, key, row, asked.result);
      else this.#takeBack(action, key, asked);
      this.#leaveOut(key);
      this.changed();
    });
  }

  /** A row that no list has any more goes from the page, once all that was done to it is sent; at the service it stays. */
  #leaveOut(key: string): void {
    if (!this.#unlisted.has(key)) return;
    const [row, before] = [this.#rowOf(key), this.#confirmed.get(key)];
    // What has been changed, or taken away, meanwhile is sent first.
    if (before && (!row || !same(before, row))) return;
    this.#unlisted.delete(key);
    this.#confirmed.delete(key);
    this.#hold(this.host.read().filter((each) => this.#keyOf(each) !== key));
  }

  #confirm(action: RowAction, key: string, row: Row): void {
    if (action === 'remove') this.#confirmed.delete(key);
    else this.#confirmed.set(key, row);
  }

  /** The service has taken it, and may know more of the row: its key, its version. */
  #taken(action: RowAction, key: string, sent: Row, result: unknown): void {
    this.#confirm(action, key, sent);
    if (action === 'remove' || !isRecord(result)) return;
    const known = Object.fromEntries(
      Object.entries(result).filter(([name, value]) => !same(sent[name], value)),
    );
    const now = { ...sent, ...result };
    const nowKey = this.#keyOf(now);
    this.#confirmed.delete(key);
    this.#confirmed.set(nowKey, now);
    // What the person has changed meanwhile stays changed.
    this.#hold(
      this.host
        .read()
        .map((row) => (this.#keyOf(row) === key ? { ...row, ...untouched(known, sent, row) } : row)),
    );
  }

  #takeBack(action: RowAction, key: string, asked: Asked | undefined): void {
    const before = this.#confirmed.get(key);
    const rows = this.host.read();
    if (action === 'add') this.#hold(rows.filter((row) => this.#keyOf(row) !== key));
    else if (before)
      this.#hold(
        action === 'remove'
          ? this.#putBack(rows, key, before)
          : rows.map((row) => (this.#keyOf(row) === key ? before : row)),
      );
    if (!asked) return;
    this.host.tell(asked.sentence);
    if (overtaken.has(asked.status)) this.host.listAgain();
  }

  /** A row comes back behind the one that it stood behind at the service. */
  #putBack(rows: readonly Row[], key: string, row: Row): readonly Row[] {
    const order = [...this.#confirmed.keys()];
    const inFront = new Set(order.slice(0, order.indexOf(key)));
    const at = rows.findLastIndex((each) => inFront.has(this.#keyOf(each))) + 1;
    return rows.toSpliced(at, 0, row);
  }
}

/** Of what a service knows more, the values that nobody has changed since the row was sent. */
const untouched = (known: Row, sent: Row, now: Row): Row =>
  Object.fromEntries(Object.entries(known).filter(([name]) => same(sent[name], now[name])));
