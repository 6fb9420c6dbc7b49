import { Form } from "antd";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField, saidBy } from "../lib/api";
import type { MapSheet } from "../lib/api-map";
import { FileButton } from "../lib/FileButton";
import { Field, TextField } from "../lib/fields";
import { FormFoot } from "../lib/FormFoot";
import { FormGrid } from "../lib/FormGrid";
import { listOf, lists } from "../lib/list-of";
import { newId } from "../lib/id";

type Props = { job: string; replaces?: MapSheet; onDone: (sheet?: string) => void };

/** A drawing brought in, or a newer revision of one; and where a weld list says that its welds are. */
export function NewSheet({ job, replaces, onDone }: Props) {
  const [name, setName] = useState(replaces?.name ?? "");
  const [revision, setRevision] = useState("");
  const [file, setFile] = useState<File>();
  const [fault, setFault] = useState<unknown>();
  const [left, setLeft] = useState<string[]>();
  const [busy, setBusy] = useState(false);
  const queries = useQueryClient();
  const problems = problemsByField(fault);
  const store = async () => {
    if (!file) {
      setFault(new Error("choose the drawing's file"));
      return;
    }
    const id = newId();
    setBusy(true);
    try {
      const said = { name, ...(revision === "" ? {} : { revision }), ...(replaces ? { replaces: replaces.id } : {}) };
      queries.setQueryData(["map", job], await api.addSheet(job, id, said, file));
      onDone(id);
    } catch (e) {
      setFault(e);
    } finally {
      setBusy(false);
    }
  };
  const place = async (list: File) => {
    setFault(undefined);
    try {
      const placed = await api.placeWelds(job, await listOf(list));
      queries.setQueryData(["map", job], placed.map);
      setLeft(placed.left);
    } catch (e) {
      setFault(e);
    }
  };
  return (
    <Form onFinish={() => void store()}>
      <h3>{replaces ? `A newer revision of ${replaces.name}` : "A new sheet"}</h3>
      <p className="small quiet">
        {replaces
          ? `It takes the pins of revision ${replaces.revision} over, and asks about those near what changed.`
          : "A PDF, each of its pages a sheet; or a PNG or JPEG of up to 10 MB."}
      </p>
      <FormGrid>
        {!replaces && (
          <TextField
            id="name"
            label="Name"
            span={16}
            required
            value={name}
            problem={problems.name}
            onChange={(v) => setName(v ?? "")}
          />
        )}
        <TextField
          id="revision"
          label="Revision"
          span={8}
          value={revision}
          problem={problems.revision}
          onChange={(v) => setRevision(v ?? "")}
        />
        <Field id="drawing" label="Drawing" required problem={problems.drawing ?? problems.photo}>
          <FileButton accept=".pdf,.png,.jpg,.jpeg,application/pdf,image/png,image/jpeg" onFile={setFile}>
            {file?.name ?? "Choose the file …"}
          </FileButton>
        </Field>
      </FormGrid>
      <FormFoot fault={fault} word={busy ? "Drawing …" : "Bring it in"} onLeave={() => onDone()} />
      {!replaces && (
        <>
          <h3>Places from a weld list</h3>
          <p className="small quiet">Its columns sheet, x and y say where each weld is: shares of the sheet, 0 to 1.</p>
          <FileButton accept={lists} onFile={(f) => void place(f)}>
            Choose the list …
          </FileButton>
          {left && (
            <p role="status">
              {left.length === 0
                ? "All are pinned."
                : `Not placed: ${left.slice(0, 8).join("; ")}${left.length > 8 ? " …" : ""}`}
            </p>
          )}
          {fault !== undefined && problems.list && <p className="fault">{saidBy(fault)}</p>}
        </>
      )}
    </Form>
  );
}
