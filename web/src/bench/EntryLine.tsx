import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Descriptions, Flex, Input, type InputRef, Modal } from "antd";
import { useEffect, useMemo, useRef, useState, type ClipboardEvent, type FormEvent, type ReactNode } from "react";
import { api, saidBy, type Bench, type Line } from "../lib/api";
import { inWords } from "./kinds";
import { useSettled } from "../lib/useSettled";
import { isUnreachable } from "../lib/outbox";
import { saidOf, type Doing } from "./useBench";
import { newId } from "../lib/id";
import { SmallTable } from "../lib/SmallTable";

type Props = {
  bench: Bench;
  doing: Doing;
  focused?: boolean;
  start?: string;
  side?: ReactNode;
  onMarks: (marks: Line["marks"]) => void;
};

/** What was typed and not yet recorded outlives the page. */
const draftOf = (look: string) => `mensor.line.${look}`;
/** More entries than any line makes: their ids are made before anybody reads the line. */
const mostInALine = 20;

/** One line takes anything: it says what it understood, in words and on the strip, before Enter puts it down. */
export function EntryLine({ bench, doing, focused = false, start, side, onMarks }: Props) {
  const [text, type] = useState(() => start ?? window.sessionStorage.getItem(draftOf(bench.id)) ?? "");
  const latest = useRef(text);
  const setText = (next: string) => {
    latest.current = next;
    type(next);
    window.sessionStorage.setItem(draftOf(bench.id), next);
  };
  const [before, setBefore] = useState("leg");
  /** The kind that bare numbers repeat: of the last line that was recorded, also while the next is being typed. */
  const repeats = useRef("leg");
  const [fault, setFault] = useState<unknown>();
  const [said, setSaid] = useState("");
  const [card, setCard] = useState(false);
  const queries = useQueryClient();
  const input = useRef<InputRef>(null);
  const rowsOf = (typed: string) => {
    const rows = typed.split("\n").filter((l) => l.trim() !== "");
    return rows.length > 1 ? rows : [typed];
  };
  /** It is read when the hand pauses; Enter does not wait for that. */
  const paused = useSettled(text, 120);
  const asked = rowsOf(paused);
  const reading = useQuery({
    queryKey: ["lines", bench.id, before, asked.join("\n")],
    queryFn: ({ signal }) => api.lines(bench.id, asked, before, signal),
    enabled: paused.trim() !== "",
    retry: false,
    placeholderData: (last) => last,
    gcTime: 10_000,
  });
  const empty = text.trim() === "";
  const read = useMemo(() => (empty ? [] : (reading.data ?? [])), [empty, reading.data]);
  useEffect(() => onMarks(read.flatMap((r) => r.marks)), [read, onMarks]);

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement;
      const typing = /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName) || target.closest('[role="dialog"]');
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === "/") {
        e.preventDefault();
        input.current?.focus();
      }
      if (e.key === "?") setCard(true);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);

  const entries = read.flatMap((r) => r.entries);
  const wrong = read.findIndex((r) => r.problem);
  const open = read.findIndex((r) => !r.problem && r.entries.length === 0);
  const problem = read[wrong];
  const last = read.at(-1);
  const stillRead = paused !== text || reading.isPlaceholderData || reading.isPending;
  const away = reading.isError && isUnreachable(reading.error);

  const ways = useRef<{ last: Promise<unknown>; underway: Set<string> }>({
    last: Promise.resolve(),
    underway: new Set(),
  });
  /** The entries' own ids stand until they are stored, so that a repeated send puts nothing down twice. */
  const pending = useRef<{ text: string; ids: string[] }>({ text: "", ids: [] });
  /** A quick hand's Enter comes before the line was read, and the next line before this one is stored: they go one after the other. */
  const putDown = (e: FormEvent) => {
    e.preventDefault();
    const mine = text;
    const { underway } = ways.current;
    if (mine.trim() === "" || underway.has(mine)) return;
    underway.add(mine);
    ways.current.last = ways.current.last
      .then(() => send(mine, rowsOf(mine)))
      .catch((x: unknown) => setFault(x))
      .finally(() => underway.delete(mine));
  };
  const send = async (mine: string, rows: string[]) => {
    const kind = repeats.current;
    let views: Line[];
    try {
      views = await queries.fetchQuery({
        queryKey: ["lines", bench.id, kind, rows.join("\n")],
        queryFn: () => api.lines(bench.id, rows, kind),
        retry: false,
      });
    } catch (x) {
      if (!isUnreachable(x)) throw x;
      await doing.act(
        { do: "line", lines: rows, before: kind, ids: Array.from({ length: rows.length * mostInALine }, newId) },
        mine,
      );
      done(
        mine,
        `Kept here, it is read and goes when the network is back: ${rows.length === 1 ? mine : `${rows.length} rows`}`,
      );
      return;
    }
    const all = views.flatMap((v) => v.entries);
    if (views.some((v) => v.problem || v.entries.length === 0)) return; // what is wrong or missing stands beside the line
    if (pending.current.text !== mine) pending.current = { text: mine, ids: all.map(() => newId()) };
    const { ids } = pending.current;
    const words = all.length === 1 && all[0] ? inWords(all[0], bench) : `${all.length} entries`;
    const kept = await doing.act(
      { do: "putAll", entries: all.map((x, i) => ({ kind: x.kind, content: x.content, id: ids[i] ?? newId() })) },
      words,
    );
    repeats.current = views.at(-1)?.kind || kind;
    setBefore(repeats.current);
    done(mine, saidOf(kept, words));
  };
  const done = (mine: string, words: string) => {
    pending.current = { text: "", ids: [] };
    setSaid(words);
    setFault(undefined);
    // what was typed meanwhile stays
    if (latest.current === mine) setText("");
  };
  const paste = (e: ClipboardEvent) => {
    const pasted = e.clipboardData.getData("text");
    if (!pasted.trim().includes("\n")) return;
    e.preventDefault();
    setText(pasted.replace(/\r/g, "").trim());
  };
  const complete = (word: string) => {
    setText(text.replace(/[^\s]*$/, "") + word + " ");
    input.current?.focus();
  };
  const lines = rowsOf(text);
  const several = lines.length > 1;
  return (
    <form className="line" onSubmit={putDown} aria-label="Entry line">
      <Flex gap={8}>
        {several ? (
          <output>{lines.length} rows pasted</output>
        ) : (
          <Input
            ref={input}
            aria-label="Entry line"
            placeholder="/ then what you see: uc a 12-14 1/32 · leg 6 5/16 1/4 · none crack overlap · ? shows all"
            autoFocus={focused}
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              setSaid("");
            }}
            onPaste={paste}
            onKeyDown={(e) => {
              const only = last?.completions.length === 1 ? last.completions[0] : undefined;
              if (e.key === "Tab" && !e.shiftKey && only && text.trim() !== "") {
                e.preventDefault();
                complete(only);
              }
              if (e.key === "Escape") {
                setText("");
                e.currentTarget.blur();
              }
            }}
          />
        )}
        {/* while the line is still being read the button stays: without it, the browser swallows a quick hand's Enter */}
        <Button type="primary" htmlType="submit" disabled={wrong >= 0 && !away && !stillRead}>
          Record{entries.length > 1 ? ` ${entries.length}` : ""}
        </Button>
        {several && <Button onClick={() => setText("")}>Drop the rows</Button>}
        <Button
          aria-label="What the line understands"
          title="What the line understands (?)"
          onClick={() => setCard(true)}
        >
          ?
        </Button>
        {text === "" && side /* what was typed has an undo of its own, and wants the room */}
      </Flex>
      {text !== "" && (
        <Flex wrap align="center" gap={6} className="means" role="status" aria-busy={stillRead}>
          {fault === undefined && away ? (
            <span className="quiet">
              No network: Enter keeps the line as it is typed; it is read when Mensor is back.
            </span>
          ) : fault !== undefined || reading.isError ? (
            <span className="fault">{saidBy(fault ?? reading.error)}</span>
          ) : problem?.problem ? (
            <span className="fault">
              {several ? `row ${wrong + 1}: ` : ""}
              {wrong >= 0 && problem.to > problem.from && (
                <mark>{(lines[wrong] ?? "").slice(problem.from, problem.to)}</mark>
              )}{" "}
              {problem.problem}
            </span>
          ) : entries.length > 0 && open < 0 ? (
            <b>
              {several ? `${entries.length} entries, the last: ` : ""}
              {entries
                .slice(-2)
                .map((x) => inWords(x, bench))
                .join(" · ")}
              {!several && last?.readAs && <span className="quiet"> · heard: {last.readAs}</span>}
            </b>
          ) : (
            <span className="quiet">then: {last?.expects.join(", ")}</span>
          )}
          {!several &&
            (last?.completions ?? []).slice(0, 8).map((c) => (
              <Button key={c} onClick={() => complete(c)}>
                {c}
              </Button>
            ))}
        </Flex>
      )}
      {text === "" && said && (
        <div className="means" role="status">
          {said}
        </div>
      )}
      {card && <HelpCard onClose={() => setCard(false)} />}
    </form>
  );
}

/** The card: every kind with what follows it and a line as an example. */
function HelpCard({ onClose }: { onClose: () => void }) {
  const cards = useQuery({ queryKey: ["entry-line"], queryFn: api.entryLine, staleTime: Infinity });
  return (
    <Modal open title="What the entry line understands" footer={null} onCancel={onClose} width={860}>
      <p className="small">
        A kind, then its parts apart by spaces. A length is one word: 1/32, 1-1/8, .03, 2.4mm. From–to: 12-14, 12..14
        (past the datum of a closed weld: 23..1). A line of numbers repeats the kind before it; rows pasted from a
        spreadsheet are legs: at, leg A, leg B. <b>none</b> crack overlap: inspected, none seen. Undercut:{" "}
        <b>uc a 10-14 1/16 over 1/32 11-12.5</b> is at most 1/16, over 1/32 only there.
      </p>
      <SmallTable
        label="What the entry line understands"
        rows={cards.data ?? []}
        rowKey={(c) => c.words[0] ?? ""}
        columns={[
          [
            "Kind",
            (c) => (
              <>
                <b>{c.words[0]}</b>
                {c.words.length > 1 && <span className="quiet small"> {c.words.slice(1).join(", ")}</span>}
              </>
            ),
          ],
          ["then", (c) => <span className="small">{c.follows.join(" · ")}</span>],
          ["as", (c) => <code>{c.example}</code>],
        ]}
      />
      <Descriptions
        className="spaced"
        title="Keys"
        size="small"
        column={{ xs: 1, md: 2 }}
        items={keys.map(([key, does]) => ({
          label: (
            <Flex gap={4}>
              {key.split(" ").map((k) => (
                <kbd key={k}>{k}</kbd>
              ))}
            </Flex>
          ),
          children: does,
        }))}
      />
    </Modal>
  );
}

const keys: [string, string][] = [
  ["/", "to the entry line"],
  ["Tab", "complete the word, where only one fits"],
  ["Esc", "close the form, or empty the line"],
  ["U P L …", "the letter on a button below the strip opens its form"],
  ["G", "go to the next place to inspect"],
  ["Ctrl Z", "undo; with Shift, or Ctrl Y: redo"],
  ["← →", "on the strip: a mark of the rule; with Shift a bigger step"],
  ["PgUp PgDn", "on the strip: to the next mark or station"],
  ["Home End", "on the strip: to the weld's ends"],
  ["+ −", "on the strip: nearer and farther; 0 shows the whole weld"],
  ["?", "this card"],
];
