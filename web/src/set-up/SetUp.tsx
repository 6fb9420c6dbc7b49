import { useQuery } from "@tanstack/react-query";
import { Collapse } from "antd";
import { useState, type FormEvent, type KeyboardEvent } from "react";
import { useParams } from "react-router";
import { api, saidBy, type NewJoint } from "../lib/api";
import { TopBar } from "../lib/TopBar";
import { AsJudged } from "./AsJudged";
import { emptyForm } from "./form";
import { JobFields } from "./JobFields";
import { LessCommon } from "./LessCommon";
import { MainFields } from "./MainFields";
import { SetUpContext, useSetUpForm, type SetUpForm } from "./useSetUp";

/** Setting up a joint: what the drawing asks. The cross-section is drawn as the form is filled. */
export default function SetUp() {
  const { id } = useParams();
  const stored = useQuery({ queryKey: ["joint", id], queryFn: () => api.joint(id ?? ""), enabled: id !== undefined });
  if (id && !stored.data)
    return <p className="page">{stored.isError ? saidBy(stored.error) : "Opening the joint …"}</p>;
  return (
    <SetUpPage
      key={id ?? "new"}
      jointId={id}
      start={stored.data?.form ?? emptyForm}
      version={stored.data?.version ?? 0}
    />
  );
}

function SetUpPage({ jointId, start, version }: { jointId?: string; start: NewJoint; version: number }) {
  const form = useSetUpForm(jointId, start, version);
  const [open, setOpen] = useState<string[]>(jointId ? ["less"] : []);
  const faulty = panelsAtFault(form);
  const submit = (e: FormEvent) => {
    e.preventDefault();
    void form.store();
  };
  return (
    <SetUpContext.Provider value={form}>
      <div className="app">
        <TopBar>
          <span className="mark">{jointId ? "Change the joint" : "Set up a joint"}</span>
          <span className="what">{form.preview?.inWords ?? "what the drawing asks"}</span>
        </TopBar>
        <main>
          <form className="halves wide-left scrolls" onSubmit={submit} onKeyDown={enterGoesOn} noValidate>
            <div className="card side">
              <MainFields isNew={!jointId} />
              <Collapse
                activeKey={[...new Set([...open, ...faulty])]}
                onChange={(keys) => setOpen([keys].flat())}
                items={[
                  { key: "job", label: jobInWords(form), forceRender: true, children: <JobFields /> },
                  { key: "less", label: "Less common", forceRender: true, children: <LessCommon /> },
                ]}
              />
            </div>
            <AsJudged isNew={!jointId} shown={[...main, ...ofJob, ...lessCommon]} />
          </form>
        </main>
      </div>
    </SetUpContext.Provider>
  );
}

/** Enter goes to the next field, and stores from the last one: nobody stores half a joint by a slip of the hand. */
function enterGoesOn(e: KeyboardEvent<HTMLFormElement>) {
  if (e.key !== "Enter" || e.defaultPrevented || !(e.target instanceof HTMLInputElement)) return;
  if (e.target.getAttribute("aria-expanded") === "true") return; // a list is open: Enter chooses from it
  const all = [...e.currentTarget.querySelectorAll<HTMLElement>("input:not([disabled]), button[type=submit]")];
  const fields = all.filter((f) => f.offsetParent !== null || f instanceof HTMLButtonElement);
  const next = fields[fields.indexOf(e.target) + 1];
  if (!next || next instanceof HTMLButtonElement) return;
  e.preventDefault();
  next.focus();
}

function jobInWords({ form, books, joint }: SetUpForm): string {
  const said = [
    books.find((b) => b.id === form.criteria)?.title ?? form.criteria,
    form.units === "mm" ? "mm" : "inches",
    form.drawing && `drawing ${form.drawing}${form.drawingRev ? ` rev ${form.drawingRev}` : ""}`,
    form.wps,
    joint.grade,
  ];
  return `From the job: ${said.filter(Boolean).join(" · ")}`;
}

const main = [
  "job",
  "lot",
  "mark",
  "weldNo",
  "welder",
  "weld",
  "connection",
  "corner",
  "size",
  "length",
  "position",
  "penetration",
  "groove.prep",
  "groove.includedAngle",
  "groove.rootFace",
  "groove.rootOpening",
  "members[0].thickness",
  "members[1].thickness",
  "members[0].name",
  "members[1].name",
];
const ofJob = ["criteria", "units", "grade", "drawing", "drawingRev", "wps", "side", "datum", "weldedAt"];
const lessCommon = [
  "segments",
  "gaps",
  "throat",
  "rootOpening",
  "dihedral",
  "sizeMeans",
  "legs",
  "use",
  "flangeWidth",
  "girderEnds",
  "offsetMax",
  "testPiece",
  "primary",
  "transverseTension",
  "oneSided",
  "delayed",
];

/** A fault in a folded part unfolds it. */
function panelsAtFault({ problem, remark }: SetUpForm): string[] {
  const speaks = (fields: string[]) => fields.some((f) => problem(f) ?? remark(f));
  return [...(speaks(ofJob) ? ["job"] : []), ...(speaks(lessCommon) ? ["less"] : [])];
}
