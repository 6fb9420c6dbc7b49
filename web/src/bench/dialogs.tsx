import { holds } from "../lib/roles";
import { useQuery } from "@tanstack/react-query";
import { Button, Checkbox, Flex, Input, Modal } from "antd";
import { useState, type ReactNode } from "react";
import { useActor } from "../lib/session";
import { api, saidBy, type Bench } from "../lib/api";
import { spansOf } from "../set-up/form";
import { VerdictMark } from "../lib/VerdictMark";
import { useBusy, useChange, type Doing } from "./useBench";
import { newId } from "../lib/id";
import { ChoiceField, TextField } from "../lib/fields";
import { inWords } from "./kinds";
import { signLook } from "./sign-look";
import { Cell, FormGrid } from "../lib/FormGrid";

type DialogProps = { bench: Bench; onClose: () => void };

function Dialog({ title, children, onClose }: { title: string; children: ReactNode; onClose: () => void }) {
  return (
    <Modal open title={title} footer={null} onCancel={onClose} width={620}>
      {children}
    </Modal>
  );
}

/** What was refused, then the act itself and the way back. */
function Acts({ fault, children, onClose }: { fault: string; children: ReactNode; onClose: () => void }) {
  return (
    <>
      {fault && (
        <p role="alert" className="fault">
          {fault}
        </p>
      )}
      <Flex className="spaced" gap={8}>
        {children}
        <Button onClick={onClose}>Back</Button>
      </Flex>
    </>
  );
}

/** One confirmation after the inspection; nothing is ticked beforehand, each item can be left out. */
export function FullLengthDialog({ bench, doing, onClose }: DialogProps & { doing: Doing }) {
  const items = bench.evaluation.todo.filter((t) => t.clearable);
  const [ticked, setTicked] = useState<string[]>([]);
  const [fault, setFault] = useState("");
  const busy = useBusy(bench.id);
  const all = ticked.length === items.length;
  const confirm = async () => {
    try {
      const entries = ticked.map((criterion) => ({ id: newId(), kind: "CLEAR" as const, content: { criterion } }));
      await doing.act(
        { do: "putAll", entries },
        `${bench.again ? bench.again.inspectAlong : "full length"} inspected, none seen of ${ticked.length}`,
      );
      onClose();
    } catch (e) {
      setFault(saidBy(e));
    }
  };
  return (
    <Dialog
      title={bench.again ? `${bench.again.inspectAlong} inspected, both toes` : "Full length inspected, both toes"}
      onClose={onClose}
    >
      <p>
        Tick what you inspected for along {bench.again ? bench.again.inspectAlong : "the whole weld"} and did not see.
        What you leave out stays to be inspected.
      </p>
      <Button
        className="spaced"
        block
        type={all ? "primary" : "default"}
        aria-pressed={all}
        onClick={() => setTicked(all ? [] : items.map((t) => t.id))}
      >
        None seen of all {items.length}
      </Button>
      <FormGrid>
        {items.map((t) => (
          <Cell key={t.id} span={6}>
            <Checkbox
              className="ticked"
              checked={ticked.includes(t.id)}
              onChange={(e) => setTicked(e.target.checked ? [...ticked, t.id] : ticked.filter((x) => x !== t.id))}
            >
              {t.title}
            </Checkbox>
          </Cell>
        ))}
      </FormGrid>
      <Acts fault={fault} onClose={onClose}>
        <Button type="primary" disabled={ticked.length === 0 || busy} onClick={() => void confirm()}>
          Inspected, none seen of {ticked.length}
        </Button>
      </Acts>
    </Dialog>
  );
}

/** What cannot be seen: by what it is covered, or the stretch that nobody gets at. */
export function CoverDialog({ bench, doing, onClose }: DialogProps & { doing: Doing }) {
  const items = bench.evaluation.todo.filter((t) => t.clearable || t.id === "size");
  const [criterion, setCriterion] = useState(items[0]?.id ?? "");
  const [where, setWhere] = useState("");
  const [by, setBy] = useState("");
  const [fault, setFault] = useState("");
  const busy = useBusy(bench.id);
  const stretch = spansOf(where)?.[0];
  const confirm = async () => {
    const content = {
      criterion,
      ...(stretch ? { from: stretch.from, to: stretch.to } : {}),
      ...(by.trim() ? { by: by.trim() } : {}),
    };
    try {
      const entry = { id: newId(), kind: "COVER" as const, content };
      await doing.act({ do: "put", entry }, inWords(entry, bench));
      onClose();
    } catch (e) {
      setFault(saidBy(e));
    }
  };
  return (
    <Dialog title="Cannot be seen" onClose={onClose}>
      <p>
        Say what covers it, as a UT report. A stretch that nobody gets at and nothing covers stays <b>not accessible</b>
        : the weld is incomplete there. The rest of the weld is still inspected for it.
      </p>
      <FormGrid>
        <ChoiceField
          id="cover-criterion"
          label="Criterion"
          span={6}
          value={criterion}
          options={items.map((t) => [t.id, t.title] as const)}
          onChange={setCriterion}
        />
        <TextField
          id="cover-where"
          label="Stretch"
          span={6}
          value={where}
          placeholder="the whole weld, or 4-6"
          onChange={setWhere}
        />
        <TextField
          id="cover-by"
          label="Covered by"
          span={12}
          value={by}
          placeholder={stretch ? "nothing: not accessible" : "UT report 114"}
          onChange={setBy}
        />
      </FormGrid>
      <Acts fault={fault} onClose={onClose}>
        <Button type="primary" disabled={busy || (!stretch && !by.trim())} onClick={() => void confirm()}>
          {by.trim() ? "Covered" : "Not accessible"}
        </Button>
      </Acts>
    </Dialog>
  );
}

export function SignDialog({ bench, onClose }: DialogProps) {
  const actor = useActor();
  const words = bench.capacity === "verification" ? "the owner (verification)" : "the fabricator (QC)";
  const [fault, setFault] = useState("");
  const change = useChange(bench.id);
  const verdict = bench.evaluation.verdict;
  const held = bench.holder !== undefined && bench.holder !== actor.name;
  const rejected = bench.evaluation.findings.filter((f) => f.verdict === "reject");
  const sign = async () => {
    try {
      await change.mutateAsync(() =>
        api.sign(bench.id, {
          version: bench.version,
          verdict,
          capacity: bench.capacity,
        }),
      );
      onClose();
    } catch (e) {
      setFault(saidBy(e));
    }
  };
  return (
    <Dialog title={`Sign ${bench.joint.mark}, weld ${bench.joint.weldNo ?? "–"}`} onClose={onClose}>
      <div className="big">
        <VerdictMark verdict={verdict} size={32} />
      </div>
      {rejected.map((f) => (
        <div key={f.id}>
          <b>{f.title}:</b> {f.reason}
        </div>
      ))}
      {held && (
        <p className="v-open strong">{bench.holder} has this inspection in hand: it is handed over, then signed.</p>
      )}
      <p className="small">
        {bench.joint.criteriaTitle}, {bench.joint.edition}. Visual inspection: surface flaws only. The record is frozen;
        a later change is a new revision.
      </p>
      <FormGrid>
        <Cell span={12}>
          <div className="field">
            <b>Signing for</b>
            <div>{words}</div>
          </div>
        </Cell>
        <Cell span={6}>
          <div className="field">
            <b>Certificate on file</b>
            <div>{actor.certificate ?? "none; the quality manager keeps the papers"}</div>
          </div>
        </Cell>
      </FormGrid>
      <Acts fault={fault} onClose={onClose}>
        <Button {...signLook(verdict)} disabled={change.isPending || held} onClick={() => void sign()}>
          Sign as {verdict}, {actor.name}
        </Button>
      </Acts>
    </Dialog>
  );
}

export function HandOverDialog({ bench, onClose }: DialogProps) {
  const actor = useActor();
  const people = useQuery({ queryKey: ["people"], queryFn: api.people });
  const [to, setTo] = useState("");
  const [note, setNote] = useState("");
  const [inspected, setInspected] = useState("");
  const [fault, setFault] = useState("");
  const change = useChange(bench.id);
  const inspectors = (people.data ?? []).filter((p) => holds(p, "INSPECTOR") && p.id !== actor.id);
  const hand = async () => {
    try {
      await change.mutateAsync(() => api.handOver(bench.id, { to, note, ...inspectedOf(inspected) }));
      onClose();
    } catch (e) {
      setFault(saidBy(e));
    }
  };
  return (
    <Dialog title="Hand over the part-done inspection" onClose={onClose}>
      <p>{bench.evaluation.todo.length} still to do. Entries stay under the name of whoever recorded them.</p>
      <ChoiceField
        id="to"
        label="To"
        value={to}
        options={[["", "choose an inspector"], ...inspectors.map((p) => [p.id, p.name] as const)]}
        onChange={setTo}
      />
      <div className="field spaced">
        <label htmlFor="looked">Inspected so far, from–to in {bench.joint.units === "in" ? "inches" : "mm"}</label>
        <Input
          id="looked"
          value={inspected}
          placeholder={`0-${bench.joint.form.length ?? ""}`}
          onChange={(e) => setInspected(e.target.value)}
        />
      </div>
      {bench.seenBy.length > 0 && (
        <ul className="small">
          {bench.seenBy.map((s) => (
            <li key={s.name}>{seenInWords(s)}</li>
          ))}
        </ul>
      )}
      <div className="field spaced">
        <label htmlFor="note">Note for the next</label>
        <Input id="note" value={note} onChange={(e) => setNote(e.target.value)} />
      </div>
      <Acts fault={fault} onClose={onClose}>
        <Button type="primary" disabled={to === "" || change.isPending} onClick={() => void hand()}>
          Hand over
        </Button>
      </Acts>
    </Dialog>
  );
}

/** "0-12" as the stretch that was inspected. */
function inspectedOf(text: string): { inspectedFrom?: string; inspectedTo?: string } {
  const span = spansOf(text)?.[0];
  return span ? { inspectedFrom: span.from, ...(span.to === undefined ? {} : { inspectedTo: span.to }) } : {};
}

export function seenInWords(s: Bench["seenBy"][number]): string {
  return `${s.name}: ${s.wholeLength ? "the full length" : (s.stretch ?? "")}${s.entries > 0 ? `, ${s.entries} record` : ""}`;
}

export function AmendDialog({ bench, onClose, onAmended }: DialogProps & { onAmended: (id: string) => void }) {
  const [reason, setReason] = useState("");
  const [fault, setFault] = useState("");
  const change = useChange(bench.id);
  const amend = async () => {
    try {
      const next = await change.mutateAsync(() => api.amend(bench.id, reason));
      onAmended(next.id);
      onClose();
    } catch (e) {
      setFault(saidBy(e));
    }
  };
  return (
    <Dialog title="Amend the signed record" onClose={onClose}>
      <p>This record stays as it was signed. A new revision begins with its entries, names it, and is signed anew.</p>
      <div className="field">
        <label htmlFor="reason">Why</label>
        <Input id="reason" value={reason} onChange={(e) => setReason(e.target.value)} />
      </div>
      <Acts fault={fault} onClose={onClose}>
        <Button type="primary" disabled={reason.trim() === "" || change.isPending} onClick={() => void amend()}>
          Begin revision {bench.revision + 1}
        </Button>
      </Acts>
    </Dialog>
  );
}
