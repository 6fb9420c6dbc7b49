import { holds } from "../lib/roles";
import { Button, Flex, Input } from "antd";
import { useState } from "react";
import { api, problemsByField, type Defect } from "../lib/api";
import { DateField, TextField } from "../lib/fields";
import { useActor } from "../lib/session";
import { dayOf } from "../lib/local-time";
import { Fault } from "./DefectCard";
import { HoldMark } from "./HoldMark";
import { useDefectChange } from "./useDefect";
import { FileButton } from "../lib/FileButton";
import { FormGrid } from "../lib/FormGrid";

/** What waits for the Engineer's document, and the documents that came. */
export function Holds({ defect: d }: { defect: Defect }) {
  const actor = useActor();
  return (
    <>
      {d.holds.map((h) =>
        h.open ? (
          <Open key={h.kind} defect={d} hold={h} />
        ) : (
          <p key={h.kind} className="small">
            ✓{" "}
            {h.deniedWhy ? (
              `Not so: ${h.deniedWhy}`
            ) : (
              <>
                The Engineer’s document{" "}
                {holds(actor, "VIEWER") ? (
                  h.documentNo
                ) : (
                  <a href={`/api/defects/${d.id}/holds/${h.kind}/document`} download={h.fileName}>
                    {h.documentNo}
                  </a>
                )}
                , {h.documentBy}, {h.documentDate && dayOf(h.documentDate)}
              </>
            )}
            <span className="quiet">
              {" "}
              · {h.words} · recorded by {h.by}
              {h.at && `, ${dayOf(h.at)}`}
            </span>
          </p>
        ),
      )}
    </>
  );
}

function Open({ defect: d, hold }: { defect: Defect; hold: Defect["holds"][number] }) {
  const actor = useActor();
  const change = useDefectChange(d.id);
  const [asked, setAsked] = useState<"document" | "no">();
  const [number, setNumber] = useState("");
  const [engineer, setEngineer] = useState("");
  const [date, setDate] = useState("");
  const [file, setFile] = useState<File>();
  const [why, setWhy] = useState("");
  const records = holds(actor, "WELDING_ENGINEER", "QUALITY_MANAGER");
  const problems = problemsByField(change.error);
  const known = Object.keys(problems).length > 0;
  return (
    <div className="marked" role="group" aria-label={`On hold: ${hold.words}`}>
      <div>
        <HoldMark /> <b>On hold:</b> {hold.words}. <span className="small quiet">Since {dayOf(hold.since)}.</span>
      </div>
      {asked === undefined && (
        <Flex wrap gap={8} align="center">
          {records && <Button onClick={() => setAsked("document")}>The Engineer’s document …</Button>}
          {hold.question && holds(actor, "WELDING_ENGINEER") && (
            <Button onClick={() => setAsked("no")}>Not so, because …</Button>
          )}
          {!records && (
            <span className="small quiet">
              The welding engineer or the quality manager records the Engineer’s document.
            </span>
          )}
        </Flex>
      )}
      {asked === "document" && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            change.mutate(() =>
              api.release(d.id, hold.kind, { number, engineer, date, name: file?.name ?? "" }, file ?? new Blob([])),
            );
          }}
        >
          <FormGrid>
            <TextField
              id={`no-${hold.kind}`}
              label="Document no."
              span={3}
              value={number}
              problem={problems.number}
              onChange={setNumber}
            />
            <TextField
              id={`by-${hold.kind}`}
              label="The Engineer’s name"
              span={4}
              value={engineer}
              problem={problems.engineer}
              onChange={setEngineer}
            />
            <DateField
              id={`date-${hold.kind}`}
              label="Date"
              span={3}
              value={date}
              problem={problems.date}
              onChange={setDate}
            />
          </FormGrid>
          <Flex wrap gap={8} align="center">
            <FileButton accept="application/pdf,image/png,image/jpeg" onFile={setFile}>
              {file ? file.name : "The document (PDF, picture) …"}
            </FileButton>
            <Button type="primary" htmlType="submit" disabled={change.isPending}>
              Record it
            </Button>
            <Button type="link" onClick={() => setAsked(undefined)}>
              leave it
            </Button>
          </Flex>
          {problems.file && <div className="small fault">{problems.file}</div>}
        </form>
      )}
      {asked === "no" && (
        <form
          className="row"
          onSubmit={(e) => {
            e.preventDefault();
            change.mutate(() => api.denyHold(d.id, hold.kind, { why }));
          }}
        >
          <label htmlFor={`why-${hold.kind}`}>Why not</label>
          <Input
            className="box wide-box"
            id={`why-${hold.kind}`}
            value={why}
            onChange={(e) => setWhy(e.target.value)}
          />
          <Button type="primary" htmlType="submit" disabled={change.isPending}>
            Record it
          </Button>
          <Button type="link" onClick={() => setAsked(undefined)}>
            leave it
          </Button>
        </form>
      )}
      {!known && <Fault of={change.error} />}
    </div>
  );
}
