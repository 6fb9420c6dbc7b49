import { del, get, set } from "idb-keyval";
import {
  api,
  Refused,
  saidBy,
  type Bench,
  type Conditions,
  type Entry,
  type EntryContent,
  type EntryKind,
} from "./api";
import { newId } from "./id";

export type NewEntry = { id: string; kind: EntryKind; content: EntryContent };

/** A change of an inspection, in a form that can be kept and sent again: the same again changes nothing on the server. */
export type Step =
  | { do: "put"; entry: NewEntry; version?: number }
  | { do: "putAll"; entries: NewEntry[] }
  /** Typed while nobody could read it: it is read when the server is back. */
  | { do: "line"; lines: string[]; before: string; ids: string[] }
  | { do: "takeOff"; entry: string; version: number }
  | { do: "restore"; entry: string }
  | { do: "conditions"; part: Conditions }
  | { do: "photo"; photo: string; at?: string; entry?: string }
  | { do: "photoOff" | "photoOn"; photo: string };

/** @property refused why the server would not take it when it was sent late; @property theirs what another person made of the entry */
export type Waiting = {
  key: string;
  look: string;
  at: number;
  step: Step;
  words: string;
  refused?: string;
  theirs?: Entry;
};

export type Posted = { waiting: Waiting[]; reachable: boolean };

type Send = (look: string, step: Step) => Promise<Bench>;

/** Whether the request never came to be judged: no network, a server that starts, or a session that ended meanwhile. */
export function isUnreachable(e: unknown): boolean {
  return e instanceof Refused && [0, 401, 502, 503, 504].includes(e.status);
}

/**
 * What one person recorded and the server does not have yet. Each change is kept in the browser before it is sent, and
 * until it is answered; changes go in the order in which they were made, each under an id of its own, so that a second
 * sending adds nothing.
 */
export class Outbox {
  private onBench: (bench: Bench) => void = () => undefined;
  private posted: Posted;
  private tail: Promise<unknown> = Promise.resolve();
  private readonly listeners = new Set<() => void>();
  private last = 0;
  /** What somebody waits for at this moment. */
  private readonly attended = new Set<string>();

  constructor(
    private readonly person: string,
    private readonly storage: Storage,
    private readonly send: Send = sendStep,
  ) {
    this.posted = { waiting: this.stored(), reachable: true };
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  readonly now = () => this.posted;

  /** Who shows what the server answers to a change. */
  answersTo(show: (bench: Bench) => void) {
    this.onBench = show;
  }

  /**
   * Does it, or keeps it: nothing comes back where the server could not be reached. What the server refuses is thrown,
   * and with "hold" kept as well, for a form that has gone on to the next entry.
   */
  act(look: string, step: Step, words: string, refused: "throw" | "hold" = "throw"): Promise<Bench | undefined> {
    const w: Waiting = { key: newId(), look, at: this.next(), step, words };
    this.attended.add(w.key);
    this.keep(w);
    return this.inTurn(async () => {
      try {
        await this.sendAll(w.at);
        if (this.open().some((x) => x.at < w.at)) return undefined;
        return await this.sendOne(w);
      } catch (e) {
        if (refused === "hold") this.hold(w, e);
        else this.drop(w.key);
        throw e;
      } finally {
        this.attended.delete(w.key);
      }
    });
  }

  /** Sends what waits; quiet where the server is still away. */
  pump(): Promise<void> {
    return this.inTurn(() => this.sendAll());
  }

  /** What the poll of an open screen found. */
  heard(reachable: boolean) {
    const back = reachable && !this.posted.reachable;
    if (this.posted.reachable !== reachable) this.show({ ...this.posted, reachable });
    if (back) void this.pump();
  }

  drop(key: string) {
    const w = this.posted.waiting.find((x) => x.key === key);
    this.storage.removeItem(this.name(key));
    if (w?.step.do === "photo") void del(w.step.photo);
    this.show({ ...this.posted, waiting: this.posted.waiting.filter((x) => x.key !== key) });
  }

  /** Sends a refused one again, perhaps put right. */
  again(key: string, step: Step): Promise<void> {
    const w = this.posted.waiting.find((x) => x.key === key);
    if (w) this.keep({ key, look: w.look, at: w.at, words: w.words, step });
    return this.pump();
  }

  private open() {
    return this.posted.waiting.filter((x) => x.refused === undefined);
  }

  /** Sends what was recorded before, but what somebody still waits for: that answers for itself. */
  private async sendAll(before = Infinity) {
    for (const w of this.open().filter((x) => x.at < before && !this.attended.has(x.key))) {
      try {
        await this.sendOne(w);
        if (!this.posted.reachable) return;
      } catch (e) {
        this.hold(w, e);
      }
    }
  }

  /** Nobody looks at the form it came from any more: it stays, with the reason, until somebody decides. */
  private hold(w: Waiting, e: unknown) {
    const theirs = e instanceof Refused && e.status === 409 ? (e.current as Entry | undefined) : undefined;
    this.keep({ ...w, refused: saidBy(e), ...(theirs ? { theirs } : {}) });
  }

  private async sendOne(w: Waiting): Promise<Bench | undefined> {
    try {
      const bench = await this.send(w.look, w.step);
      this.drop(w.key);
      if (!this.posted.reachable) this.show({ ...this.posted, reachable: true });
      this.onBench(bench);
      return bench;
    } catch (e) {
      if (!isUnreachable(e)) throw e;
      if (this.posted.reachable) this.show({ ...this.posted, reachable: false });
      return undefined;
    }
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const mine = this.tail.then(work);
    this.tail = mine.catch(() => undefined);
    return mine;
  }

  private next(): number {
    this.last = Math.max(Date.now(), this.last + 1);
    return this.last;
  }

  private name(key: string) {
    return `mensor.waiting.${this.person}.${key}`;
  }

  private keep(w: Waiting) {
    try {
      this.storage.setItem(this.name(w.key), JSON.stringify(w));
    } catch {
      // a full browser store: it is still sent, and kept in memory
    }
    const others = this.posted.waiting.filter((x) => x.key !== w.key);
    this.show({ ...this.posted, waiting: [...others, w].sort((a, b) => a.at - b.at) });
  }

  private stored(): Waiting[] {
    const mine: Waiting[] = [];
    for (let i = 0; i < this.storage.length; i++) {
      const key = this.storage.key(i);
      if (key?.startsWith(`mensor.waiting.${this.person}.`))
        mine.push(JSON.parse(this.storage.getItem(key) ?? "null") as Waiting);
    }
    return mine.sort((a, b) => a.at - b.at);
  }

  private show(next: Posted) {
    this.posted = next;
    this.listeners.forEach((l) => l());
  }
}

async function sendStep(look: string, s: Step): Promise<Bench> {
  switch (s.do) {
    case "put":
      return api.put(look, s.entry.id, s.entry.kind, s.entry.content, s.version);
    case "putAll":
      return api.putAll(look, s.entries);
    case "line":
      return api.putAll(look, entriesOf(chalked(await api.lines(look, s.lines, s.before)), s.ids));
    case "takeOff":
      return api.takeOff(look, { id: s.entry, version: s.version });
    case "restore":
      return api.restore(look, s.entry);
    case "conditions":
      return api.conditions(look, s.part);
    case "photo": {
      const picture = await get<Blob>(s.photo);
      if (!picture) throw new Refused(410, "the picture is no longer in this browser", [], undefined);
      return api.photo(look, s.photo, s, picture);
    }
    case "photoOff":
      return api.photoOff(look, s.photo);
    case "photoOn":
      return api.photoOn(look, s.photo);
  }
}

/** What was said while nobody could read it is seen before it is recorded: it waits for a hand. */
function chalked(views: Awaited<ReturnType<typeof api.lines>>) {
  const heard = views.find((v) => v.readAs && !v.problem);
  if (heard) throw new Refused(422, `heard as ${heard.readAs ?? ""}: see it, then record it`, [], undefined);
  return views;
}

/** What lines were read as, under ids that are the same each time they are read. */
export function entriesOf(views: Awaited<ReturnType<typeof api.lines>>, ids: string[]): NewEntry[] {
  const problem = views.find((v) => v.problem ?? v.entries.length === 0);
  if (problem) throw new Refused(422, problem.problem ?? "the line is not whole", [], undefined);
  return views
    .flatMap((v) => v.entries)
    .map((e, i) => ({ kind: e.kind, content: e.content, id: (ids[i] ??= newId()) }));
}

/** A picture too big for the list of what waits is kept beside it. */
export function keepPicture(id: string, picture: Blob): Promise<void> {
  return set(id, picture);
}

const outboxes = new Map<string, Outbox>();

/** Each person's own: what one recorded is never sent under another's name. */
export function outboxOf(person: string): Outbox {
  let outbox = outboxes.get(person);
  if (!outbox) {
    outbox = new Outbox(person, window.localStorage);
    outboxes.set(person, outbox);
  }
  return outbox;
}
