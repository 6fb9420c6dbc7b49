import { holds } from "../lib/roles";
import { Button, Flex, Table } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Fragment, useState, type FormEvent } from "react";
import { useParams } from "react-router";
import { api, problemsByField, saidBy, type CriteriaCheckForm, type CriteriaLine, type CriteriaPage } from "../lib/api";
import { ChoiceField, DateField, TextField } from "../lib/fields";
import { dayOf } from "../lib/local-time";
import { useActor } from "../lib/session";
import { PickTable } from "../lib/PickTable";
import { TopBar } from "../lib/TopBar";
import { CoverageTable } from "./CoverageTable";
import { Measured } from "./Measured";
import { SmallTable } from "../lib/SmallTable";
import { Cell, FormGrid } from "../lib/FormGrid";
import { tied } from "../lib/tied";

const joints = [
  ["fillet", "fillet, tee"],
  ["butt", "groove, butt"],
  ["tee-groove", "groove, tee"],
  ["pipe-butt", "groove, pipe butt"],
] as const;

/** The criteria books to read: what each asks of a joint, where it stands, how sure it is, and what Mensor chose. */
export default function CriteriaPages() {
  const { id } = useParams();
  const books = useQuery({ queryKey: ["books"], queryFn: api.books });
  const chosen = books.data?.find((b) => b.id === id) ?? books.data?.[0];
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves">
        <nav className="card panel" aria-label="Acceptance criteria">
          <header>
            <h2>Acceptance criteria</h2>
          </header>
          <div className="body column">
            {books.isError && <p className="fault">{saidBy(books.error)}</p>}
            <PickTable<CriteriaLine>
              name="criteria"
              label="Acceptance criteria"
              title="Criteria"
              rows={books.data ?? []}
              loading={books.isPending}
              rowKey={(b) => b.id}
              to={(b) => `/criteria/${b.id}`}
              called={(b) => b.title}
              under={(b) => b.units.join(", ")}
              chosen={chosen?.id}
              columns={[
                {
                  key: "checked",
                  title: "Checked",
                  value: (b) => (b.check?.stands ? "✓ against a copy" : "not yet"),
                  filter: true,
                  width: 136,
                },
              ]}
              empty="No acceptance criteria."
            />
          </div>
        </nav>
        {chosen && <CriteriaCard key={chosen.id} book={chosen} />}
      </main>
    </div>
  );
}

function CriteriaCard({ book }: { book: CriteriaLine }) {
  const [joint, setJoint] = useState(book.id.startsWith("b31") ? "pipe-butt" : "fillet");
  const [units, setUnits] = useState(book.units[0] ?? "in");
  const [thickness, setThickness] = useState(units === "mm" ? "10" : "3/8");
  const page = useQuery({
    queryKey: ["book", book.id, units, joint, thickness, book.check?.recordedAt],
    queryFn: () => api.book(book.id, { units, joint, thickness }),
    placeholderData: (before) => before,
  });
  const change = (u: string) => {
    setUnits(u);
    setThickness(u === "mm" ? "10" : "3/8");
  };
  return (
    <div className="card panel">
      <header>
        <h2>{book.title}</h2>
        <span className="small quiet">{book.edition}</span>
      </header>
      <div className="body">
        <FormGrid role="group" aria-label="Which joint">
          <ChoiceField id="joint" label="Read it for" span={4} value={joint} options={joints} onChange={setJoint} />
          <TextField
            id="thickness"
            label={`Thickness, ${units}`}
            span={3}
            value={thickness}
            onChange={setThickness}
            problem={page.isError ? problemsByField(page.error).thickness : undefined}
          />
          <ChoiceField
            id="units"
            label="Column"
            span={3}
            value={units}
            disabled={book.units.length < 2}
            options={book.units.map((u) => [u, u === "in" ? "inches" : "millimetres"] as const)}
            onChange={change}
          />
        </FormGrid>
        {page.data?.refused && <p className="hint">{page.data.refused}</p>}
        {page.data && !page.data.refused && <Limits page={page.data} />}
        {page.data && page.data.byThickness.length > 0 && <ByThickness page={page.data} />}
        {page.data && page.data.coverage.length > 0 && <CoverageTable lines={page.data.coverage} />}
        {page.data?.notes.map((n) => (
          <p key={n} className="small">
            {n}
          </p>
        ))}
        <Checked book={book} page={page.data} />
        {page.data && <Choices page={page.data} />}
        <p className="cautions">
          The limits stand here from memory of the published document. The contract’s own copy and the Engineer decide;
          local codes and licensed practice come first.
        </p>
      </div>
    </div>
  );
}

function Limits({ page }: { page: CriteriaPage }) {
  return (
    <SmallTable
      label="Limits"
      rows={page.criteria}
      rowKey={(c) => c.criterion}
      rowProps={(c) => ({ "data-criterion": c.criterion })}
      columns={[
        ["", (c) => <Measured criterion={c.criterion} />, 96],
        ["Criterion", (c) => <b>{c.title}</b>],
        ["Allowed", (c) => c.limits.map((l, i) => <LimitLine key={i} limit={l} />)],
        ["Where it stands", (c) => <span className="small">{c.citation}</span>],
      ]}
    />
  );
}

function LimitLine({ limit: l }: { limit: CriteriaPage["criteria"][number]["limits"][number] }) {
  return (
    <div>
      {l.of && <span className="quiet">{l.of}: </span>}
      <b>{tied(l.allowed)}</b>
      {l.by && <span className="small quiet"> {tied(l.by)}</span>}
      {l.clause && <span className="small quiet"> · {l.clause}</span>}
      {l.confidence !== "high" && <Sure confidence={l.confidence} />}
    </div>
  );
}

function Sure({ confidence }: { confidence: string }) {
  return <span className="hint small"> · {confidence} confidence: check against your copy</span>;
}

function ByThickness({ page }: { page: CriteriaPage }) {
  return (
    <section>
      <h3>By thickness, {page.units}</h3>
      <Table<CriteriaPage["byThickness"][number]>
        size="small"
        pagination={false}
        scroll={{ x: "max-content" }}
        dataSource={page.byThickness}
        rowKey={(r) => r.criterion + r.of}
        columns={[
          {
            title: "Limit",
            fixed: "left",
            render: (_, r) => (
              <>
                <b>{r.title}</b>
                {r.of && r.of !== r.title.toLowerCase() && <div className="small quiet">{r.of}</div>}
              </>
            ),
          },
          ...page.thicknesses.map((t, i) => ({
            title: t,
            key: t,
            // what does not change from one thickness to the next is one wide cell
            onCell: (r: CriteriaPage["byThickness"][number]) => ({
              colSpan: i > 0 && r.allowed[i] === r.allowed[i - 1] ? 0 : same(r.allowed, i),
            }),
            render: (_: unknown, r: CriteriaPage["byThickness"][number]) => r.allowed[i] || "–",
          })),
        ]}
      />
    </section>
  );
}

/** How many columns from here on say the same. */
function same(list: string[], from: number): number {
  let n = 1;
  while (list[from + n] === list[from] && from + n < list.length) n++;
  return n;
}

function Choices({ page }: { page: CriteriaPage }) {
  return (
    <section>
      <h3>Where the codes are silent, Mensor chose</h3>
      <dl>
        {page.choices.map((c) => (
          <div key={c.title}>
            <dt>{c.title}</dt>
            <dd>
              {c.what} <span className="quiet small">Why: {c.why}</span>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** Whether somebody held the code against the shop's own copy; until then nothing is signed by it. */
function Checked({ book, page }: { book: CriteriaLine; page?: CriteriaPage }) {
  const actor = useActor();
  const [open, setOpen] = useState(false);
  const c = book.check;
  return (
    <section aria-label="Checked against our copy" className="framed">
      <h3>Checked against our copy</h3>
      {c ? (
        <div>
          <b className={c.stands ? "v-accept" : "hint"}>
            {c.stands ? "✓ " : "△ of another edition: "}
            {dayOf(c.checkedOn)}, {c.checkedBy}
          </b>
          , against {c.copyEdition}
          <span className="quiet small"> · recorded by {c.recordedBy}</span>
          {c.differed.length === 0 && <div className="small">No number differed.</div>}
          {c.differed.map((d, i) => (
            <div key={i} className="small hint">
              {d.criterion}: {d.here} here, {d.copy} in the copy
            </div>
          ))}
        </div>
      ) : (
        <p className="hint">
          △ Not yet.{" "}
          {book.stop
            ? "Nothing is signed by these criteria until the quality manager records the check."
            : "In the demo it signs all the same; nothing in it is real."}
        </p>
      )}
      {holds(actor, "QUALITY_MANAGER") && !open && <Button onClick={() => setOpen(true)}>Record a check …</Button>}
      {open && <CheckForm book={book} page={page} onDone={() => setOpen(false)} />}
    </section>
  );
}

function CheckForm({ book, page, onDone }: { book: CriteriaLine; page?: CriteriaPage; onDone: () => void }) {
  const actor = useActor();
  const queries = useQueryClient();
  const [form, setForm] = useState<CriteriaCheckForm>({ checkedBy: actor.name, differed: [] });
  const [fault, setFault] = useState<unknown>();
  const problems = problemsByField(fault);
  const differed = form.differed ?? [];
  const differ = (n: number, change: Partial<(typeof differed)[number]>) =>
    setForm({ ...form, differed: differed.map((d, i) => (i === n ? { ...d, ...change } : d)) });
  const store = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await api.checkCriteria(book.id, form);
      await queries.invalidateQueries({ predicate: (q) => ["books", "book", "bench"].includes(String(q.queryKey[0])) });
      onDone();
    } catch (x) {
      setFault(x);
    }
  };
  return (
    <form onSubmit={(e) => void store(e)} aria-label="Record a check">
      <FormGrid>
        <TextField
          id="copyEdition"
          label="Edition of your copy"
          span={5}
          value={form.copyEdition}
          problem={problems.copyEdition}
          onChange={(v) => setForm({ ...form, copyEdition: v })}
        />
        <DateField
          id="checkedOn"
          label="Checked on"
          span={3}
          value={form.checkedOn}
          problem={problems.checkedOn}
          onChange={(v) => setForm({ ...form, checkedOn: v || undefined })}
        />
        <TextField
          id="checkedBy"
          label="By"
          span={4}
          value={form.checkedBy}
          problem={problems.checkedBy}
          onChange={(v) => setForm({ ...form, checkedBy: v })}
        />
        {differed.map((d, i) => (
          <Fragment key={i}>
            <ChoiceField
              id={`dc${i}`}
              label="Number that differs, of"
              span={4}
              value={d.criterion}
              problem={problems[`differed[${i}].criterion`]}
              options={[["", "choose"], ...(page?.criteria ?? []).map((c) => [c.criterion, c.title] as const)]}
              onChange={(v) => differ(i, { criterion: v })}
            />
            <TextField
              id={`dh${i}`}
              label="Here"
              span={3}
              value={d.here}
              problem={problems[`differed[${i}].here`]}
              onChange={(v) => differ(i, { here: v })}
            />
            <TextField
              id={`dd${i}`}
              label="In your copy"
              span={3}
              value={d.copy}
              problem={problems[`differed[${i}].copy`]}
              onChange={(v) => differ(i, { copy: v })}
            />
            <Cell span={2} bottom>
              <Button type="link" onClick={() => setForm({ ...form, differed: differed.filter((_, n) => n !== i) })}>
                take off
              </Button>
            </Cell>
          </Fragment>
        ))}
      </FormGrid>
      <Button type="link" onClick={() => setForm({ ...form, differed: [...differed, {}] })}>
        a number differed …
      </Button>
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
      <Flex gap={8}>
        <Button type="primary" htmlType="submit">
          Checked against our copy
        </Button>
        <Button onClick={onDone}>Back</Button>
      </Flex>
    </form>
  );
}
