import { App, Button } from "antd";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, saidBy } from "../lib/api";
import { Installations } from "./Installations";
import { FileButton } from "../lib/FileButton";

/** A job that another Mensor wrote as an archive: the whole of it, to the same sums, or nothing. */
export function BringJob() {
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<unknown>();
  const [others, setOthers] = useState(false);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { message } = App.useApp();
  const bring = async (file: File) => {
    setBusy(true);
    setFault(undefined);
    try {
      const b = await api.bringJob(file);
      await queries.invalidateQueries();
      void message.success(
        `${b.name}: ${b.records} signed records, the sums as they were` +
          (b.signedElsewhere ? `; signed elsewhere: ${b.signedElsewhere}` : ""),
        b.signedElsewhere ? 10 : undefined,
      );
      await navigate(`/jobs/${b.job}`);
    } catch (x) {
      setFault(x);
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-label="A job from an archive">
      <FileButton accept=".zip,application/zip" onFile={(f) => void bring(f)}>
        {busy ? "Reading …" : "Read a job’s archive"}
      </FileButton>
      <Button type="link" onClick={() => setOthers(true)}>
        Other installations
      </Button>
      {others && <Installations onClose={() => setOthers(false)} />}
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
    </section>
  );
}
