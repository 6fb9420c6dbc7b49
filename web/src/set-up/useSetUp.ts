import { useQuery, useQueryClient } from "@tanstack/react-query";
import { createContext, useContext, useEffect, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { api, problemsByField, saidBy, type JointForm, type NewJoint, type Preview } from "../lib/api";
import { pruned } from "./form";

/** The state of the form: what is typed, what the server makes of it, and the lists it offers. */
export function useSetUpForm(jointId: string | undefined, start: NewJoint, version: number) {
  const [form, setForm] = useState<NewJoint>(start);
  const [preview, setPreview] = useState<Preview>();
  const [unseen, setUnseen] = useState<string>();
  const [fault, setFault] = useState<unknown>();
  const [tried, setTried] = useState(false);
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const queries = useQueryClient();
  const books = useQuery({ queryKey: ["books"], queryFn: api.books, staleTime: Infinity });
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs, staleTime: 30_000 });
  const procedures = useQuery({ queryKey: ["procedures"], queryFn: api.procedures, staleTime: 30_000 });
  const welders = useQuery({ queryKey: ["welders"], queryFn: api.welders, staleTime: 30_000 });
  const joint: JointForm = form.joint ?? {};
  const change = (part: Partial<NewJoint>) => setForm((f) => ({ ...f, ...part }));
  const set = (part: Partial<JointForm>) => setForm((f) => ({ ...f, joint: { ...f.joint, ...part } }));

  useEffect(() => {
    const asked = new AbortController();
    const timer = setTimeout(() => {
      api.preview(pruned(form), asked.signal).then(
        (p) => {
          setPreview(p);
          setUnseen(undefined);
        },
        (e: unknown) => {
          if (!asked.signal.aborted) setUnseen(saidBy(e));
        },
      );
    }, 180);
    return () => {
      asked.abort();
      clearTimeout(timer);
    };
  }, [form]);

  const store = async () => {
    setTried(true);
    try {
      const created = jointId
        ? await api.changeJoint(jointId, pruned(form), version)
        : await api.createJoint(pruned(form));
      await queries.invalidateQueries();
      await navigate(`/inspections/${created.inspectionId}${search.has("first") ? "?tour" : ""}`);
    } catch (x) {
      setFault(x);
    }
  };

  const problems: Record<string, string> = { ...problemsByField(fault) };
  for (const p of preview?.problems ?? []) problems[p.field] = p.problem;
  const problem = (field: string) => (tried || fieldValue(form, field) !== "" ? problems[field] : undefined);
  const remark = (field: string) => preview?.remarks.find((r) => r.field === field)?.line;
  return {
    form,
    joint,
    change,
    set,
    store,
    preview,
    unseen,
    fault,
    tried,
    problem,
    remark,
    books: books.data ?? [],
    jobs: jobs.data ?? [],
    procedures: procedures.data ?? [],
    welders: welders.data ?? [],
    job: jobs.data?.find((j) => j.form.name === form.job?.trim()),
  };
}

export type SetUpForm = ReturnType<typeof useSetUpForm>;

export const SetUpContext = createContext<SetUpForm | undefined>(undefined);

export function useSetUp(): SetUpForm {
  const form = useContext(SetUpContext);
  if (!form) throw new Error("used outside the form of a joint");
  return form;
}

function fieldValue(form: NewJoint, field: string): string {
  const joint = form.joint ?? {};
  const member = /^members\[(\d)]\.(name|thickness)$/.exec(field);
  if (member) return joint.members?.[Number(member[1])]?.[member[2] as "name" | "thickness"] ?? "";
  const value: unknown = Object.entries({ ...form, ...joint }).find(([k]) => k === field)?.[1];
  return typeof value === "string" || typeof value === "number" || typeof value === "boolean" ? String(value) : "";
}
