/**
 * A valley office's list of reservations that is not there: it can be read by anybody, and changed by those who sign in. Every
 * room has a list of its own, which begins the same and is forgotten when nobody asks for it.
 */
import { LRUCache } from 'lru-cache';

export const reservationStates = ['asked', 'confirmed', 'declined'] as const;

export interface Reservation {
  readonly id: number;
  readonly guest: string;
  /** A day, `2026-11-29`. */
  readonly day: string;
  readonly people: number;
  readonly state: (typeof reservationStates)[number];
  /** Free words; null: none. */
  readonly note: string | null;
  /** One more after each change. */
  readonly version: number;
}

/** What can be said of a reservation. */
export type ReservationFields = Omit<Reservation, 'id' | 'version'>;

/** The warden who may sign in, and how. */
export const warden = { name: 'warden', pin: '4621' };
export const token = 'token-of-the-warden';

/** Bunks of the hut: no day has more people. */
const bunks = 46;
const mostReservations = 500;
const mostRooms = 200;

/** A change that is refused: its status (RFC 9110 §15.5) and its sentence. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}

const guests = [
  'Ilka Sorrel',
  'Bram Oakley',
  'Party of Tessen',
  'Nive Aster',
  'Corin Vale',
  'Mara Linden',
  'Joss Harrow',
  'Pell and Wren',
  'Odile Marsh',
  'Teo Larch',
  'Runa Fell',
  'Sela Brook',
] as const;
const notes = ['Late, by headlamp', 'No nuts, please', null, 'With a dog', null] as const;

const firstList = (): Reservation[] =>
  guests.map((guest, index) => ({
    id: index + 1,
    guest,
    day: `2026-12-${String(3 + (index % 4)).padStart(2, '0')}`,
    people: 1 + ((index * 5) % 7),
    state: reservationStates[index % 5 === 3 ? 2 : index % 2 === 0 ? 1 : 0],
    note: notes[index % notes.length] ?? null,
    version: 1,
  }));

/** What one room holds. */
export class Reservations {
  #list = firstList();
  #nextId = this.#list.length + 1;

  /** Those of a day and a state, as far as these are said, in order of days. */
  find({ day, state }: { readonly day?: string; readonly state?: string }): readonly Reservation[] {
    return this.#list
      .filter(
        (each) => (day === undefined || each.day === day) && (state === undefined || each.state === state),
      )
      .toSorted((one, other) => one.day.localeCompare(other.day) || one.id - other.id);
  }

  /** @throws Refused */
  get(id: number): Reservation {
    const found = this.#list.find((each) => each.id === id);
    if (!found) throw new Refused(404, `There is no reservation ${id}.`);
    return found;
  }

  /** @throws Refused where the hut is full that day. */
  add(fields: ReservationFields): Reservation {
    if (this.#list.length >= mostReservations) throw new Refused(507, 'The office has no room for more.');
    const made = { ...fields, id: this.#nextId, version: 1 };
    this.#mustFit(made);
    this.#nextId++;
    this.#list.push(made);
    return made;
  }

  /**
   * @param version the version that was changed; undefined: whichever there is.
   * @throws Refused
   */
  change(id: number, fields: Partial<ReservationFields>, version?: number): Reservation {
    const before = this.get(id);
    if (version !== undefined && version !== before.version)
      throw new Refused(412, `Somebody else has changed the reservation of ${before.guest} meanwhile.`);
    const now = { ...before, ...fields, version: before.version + 1 };
    this.#mustFit(now);
    this.#list = this.#list.map((each) => (each.id === id ? now : each));
    return now;
  }

  /** @throws Refused */
  remove(id: number): void {
    this.get(id);
    this.#list = this.#list.filter((each) => each.id !== id);
  }

  #mustFit(wanted: Reservation): void {
    if (wanted.state === 'declined') return;
    const people = this.#list
      .filter((each) => each.id !== wanted.id && each.day === wanted.day && each.state !== 'declined')
      .reduce((sum, each) => sum + each.people, wanted.people);
    if (people > bunks)
      throw new Refused(422, `The hut has ${bunks} bunks; on ${wanted.day} there would be ${people} people.`);
  }
}

/** The rooms; the one that was asked longest ago goes first. */
const rooms = new LRUCache<string, Reservations>({ max: mostRooms });

export function roomOf(name: string): Reservations {
  const known = rooms.get(name) ?? new Reservations();
  rooms.set(name, known);
  return known;
}

/** A room's list as it begins. */
export const emptyRoom = (name: string): void => void rooms.delete(name);
