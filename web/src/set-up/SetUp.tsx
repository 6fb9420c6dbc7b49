import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Fragment, useEffect, useState, type FormEvent, type ReactNode } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { api, problemsByField, saidBy, type JointForm, type NewJoint, type Preview } from "../lib/api";
import { localTime } from "../welding-record/ProcessPanel";
import { SectionView } from "../lib/SectionView";
import { TopBar } from "../lib/TopBar";
import { asWeld, emptyForm, gapsOf, gapsText, pruned, spansOf, spansText } from "./form";

const preps: [string, string][] = [
  ["V", "V"],
  ["bevel", "single bevel"],
  ["double-V", "double V"],
  ["double-bevel", "double bevel"],
  ["square", "square"],
];

function positionsOf(groove: boolean): [string, string][] {
  const names = groove
    ? ["1G flat", "2G horizontal", "3G vertical", "4G overhead"]
    : ["1F flat", "2F horizontal", "3F vertical", "4F overhead"];
  return [["", "–"], ...names.map((n): [string, string] => [n.slice(0, 2), n])];
}

/** Setting up a joint: what the drawing asks. The cross-section is drawn as the form is filled. */
export default function SetUp() {
  const { id } = useParams();
  const stored = useQuery({ queryKey: ["joint", id], queryFn: () => api.joint(id ?? ""), enabled: id !== undefined });
  if (id && !stored.data)
    return <p style={{ padding: 24 }}>{stored.isError ? saidBy(stored.error) : "Opening the joint …"}</p>;
  return (
    <Form key={id ?? "new"} jointId={id} start={stored.data?.form ?? emptyForm} version={stored.data?.version ?? 0} />
  );
}

function Form({ jointId, start, version }: { jointId?: string; start: NewJoint; version: number }) {
  const [form, setForm] = useState<NewJoint>(start);
  const [preview, setPreview] = useState<Preview>();
  const [fault, setFault] = useState<unknown>();
  const [tried, setTried] = useState(false);
  const [segments, setSegments] = useState(spansText(start.joint?.segments) ?? "");
  const [gaps, setGaps] = useState(gapsText(start.joint?.gaps) ?? "");
  const navigate = useNavigate();
  const queries = useQueryClient();
  const books = useQuery({ queryKey: ["books"], queryFn: api.books, staleTime: Infinity });
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs, staleTime: 30_000 });
  const procedures = useQuery({ queryKey: ["procedures"], queryFn: api.procedures, staleTime: 30_000 });
  const welders = useQuery({ queryKey: ["welders"], queryFn: api.welders, staleTime: 30_000 });
  const job = jobs.data?.find((j) => j.form.name === form.job?.trim());
  const procedure = procedures.data?.find((p) => `${p.form.number} rev ${p.form.revision}` === form.wps?.trim());
  /** A job that stands brings its book and units; they are no longer chosen here. */
  const setJob = (name: string) => {
    const known = jobs.data?.find((j) => j.form.name === name.trim());
    setForm({ ...form, job: name, ...(known ? { criteria: known.form.criteria, units: known.form.units } : {}) });
  };
  const joint: JointForm = form.joint ?? {};
  const members = joint.members ?? [];
  const set = (change: Partial<JointForm>) => setForm({ ...form, joint: { ...joint, ...change } });
  const setMember = (n: number, change: Partial<{ name: string; thickness: string }>) =>
    set({ members: [0, 1].map((i) => ({ ...members[i], ...(i === n ? change : {}) })) });

  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      api.preview(pruned(form)).then(
        (p) => current && setPreview(p),
        () => undefined,
      );
    }, 180);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [form]);

  const submit = async (e: FormEvent) => {
    e.preventDefault();
    setTried(true);
    try {
      const created = jointId
        ? await api.changeJoint(jointId, pruned(form), version)
        : await api.createJoint(pruned(form));
      await queries.invalidateQueries();
      navigate(`/inspections/${created.inspectionId}`);
    } catch (x) {
      setFault(x);
    }
  };

  const problems: Record<string, string> = { ...problemsByField(fault) };
  for (const p of preview?.problems ?? []) problems[p.field] = p.problem;
  const touched = (field: string): boolean => tried || fieldValue(form, field) !== "";
  const message = (field: string) =>
    touched(field) && problems[field] ? <div className="msg fault">{problems[field]}</div> : undefined;
  const remark = (field: string) => {
    const line = preview?.remarks.find((r) => r.field === field)?.line;
    return line ? <div className="msg hint">{line}</div> : undefined;
  };
  const field = (
    path: string,
    label: string,
    value: string | undefined,
    change: (v: string) => void,
    span: number,
    hint?: string,
    offered?: (string | undefined)[],
  ) => (
    <div className="field" style={{ gridColumn: `span ${span}` }}>
      <label htmlFor={path}>{label}</label>
      <input
        id={path}
        className="text"
        autoComplete="off"
        value={value ?? ""}
        placeholder={hint}
        list={offered ? `${path}-offered` : undefined}
        aria-invalid={touched(path) && path in problems}
        onChange={(e) => change(e.target.value)}
      />
      {offered && (
        <datalist id={`${path}-offered`}>
          {offered.map((o) => (
            <option key={o} value={o} />
          ))}
        </datalist>
      )}
      {message(path)}
      {remark(path)}
    </div>
  );
  const choice = (
    path: string,
    label: string,
    value: string | undefined,
    options: [string, string][],
    change: (v: string) => void,
    span: number,
    fixed = false,
  ) => (
    <div className="field" style={{ gridColumn: `span ${span}` }}>
      <label htmlFor={path}>{label}</label>
      <select id={path} className="text" disabled={fixed} value={value ?? ""} onChange={(e) => change(e.target.value)}>
        {options.map(([v, word]) => (
          <option key={v} value={v}>
            {word}
          </option>
        ))}
      </select>
      {message(path)}
    </div>
  );
  const drawingOf = (number: string) => job?.form.drawings?.find((d) => d.number === number.trim());
  const groove = joint.weld === "groove";
  const setGroove = (change: Partial<NonNullable<JointForm["groove"]>>) =>
    set({ groove: { ...joint.groove, ...change } });
  const tick = (id: string, label: string, on: boolean | undefined, change: (v: true | undefined) => void) => (
    <div className="field" style={{ gridColumn: "span 2", alignSelf: "end" }}>
      <label style={{ display: "flex", gap: 8, alignItems: "center", minHeight: 44 }}>
        <input
          id={id}
          type="checkbox"
          style={{ width: 24, height: 24 }}
          checked={on ?? false}
          onChange={(e) => change(e.target.checked || undefined)}
        />
        {label}
      </label>
    </div>
  );
  const skewed = joint.dihedral !== undefined && joint.dihedral !== 90;
  const known = [
    "job",
    "lot",
    "mark",
    "weldNo",
    "length",
    "size",
    "throat",
    "dihedral",
    "rootOpening",
    "sizeMeans",
    "corner",
    "connection",
    "welder",
    "wps",
    "drawing",
    "drawingRev",
    "weldedAt",
    "datum",
    "grade",
    "members[0].thickness",
    "members[1].thickness",
    "members[0].name",
    "members[1].name",
    "flangeWidth",
    "criteria",
    "units",
    "weld",
    "penetration",
    "groove.prep",
    "groove.includedAngle",
    "groove.rootFace",
    "groove.rootOpening",
    "backing",
    "flush",
    "offsetMax",
  ];
  const rest = (preview?.problems ?? []).filter((p) => tried && !known.includes(p.field));
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{jointId ? "Change the joint" : "Set up a joint"}</span>
        <span className="what">{preview?.inWords ?? "what the drawing asks"}</span>
      </TopBar>
      <main style={{ minHeight: 0 }}>
        <form className="setup" onSubmit={(e) => void submit(e)}>
          <div className="card fields">
            <Group title="Where it belongs">
              {field(
                "job",
                "Job",
                form.job,
                setJob,
                4,
                undefined,
                (jobs.data ?? []).map((j) => j.form.name),
              )}
              {field(
                "lot",
                "Lot or place",
                form.lot,
                (v) => setForm({ ...form, lot: v }),
                3,
                undefined,
                job?.form.lots ?? [],
              )}
              {choice(
                "criteria",
                "Acceptance criteria",
                form.criteria,
                (books.data ?? []).map((b) => [b.id, b.title]),
                (v) => setForm({ ...form, criteria: v }),
                5,
                job !== undefined,
              )}
              {field("mark", "Mark", joint.mark, (v) => set({ mark: v }), 3, "ST2-22")}
              {field("weldNo", "Weld number", joint.weldNo, (v) => set({ weldNo: v }), 2)}
              {choice(
                "side",
                "Side",
                joint.side,
                [
                  ["", "–"],
                  ["arrow", "arrow side"],
                  ["other", "other side"],
                ],
                (v) => set({ side: v }),
                3,
              )}
              {choice(
                "units",
                "Drawing in",
                form.units,
                [
                  ["in", "inches"],
                  ["mm", "mm"],
                ],
                (v) => setForm({ ...form, units: v }),
                4,
                job !== undefined,
              )}
              {field(
                "datum",
                "Datum, in words",
                joint.datum,
                (v) => set({ datum: v }),
                7,
                "north end, punch mark, measured east",
              )}
              {field(
                "drawing",
                "Drawing",
                form.drawing,
                (v) =>
                  setForm({
                    ...form,
                    drawing: v,
                    ...(drawingOf(v)?.revision && !form.drawingRev ? { drawingRev: drawingOf(v)?.revision } : {}),
                  }),
                3,
                undefined,
                (job?.form.drawings ?? []).map((d) => d.number),
              )}
              {field("drawingRev", "Revision", form.drawingRev, (v) => setForm({ ...form, drawingRev: v }), 2)}
            </Group>
            <Group title="The weld">
              {choice(
                "weld",
                "Weld",
                joint.weld,
                [
                  ["fillet", "fillet"],
                  ["groove", "groove"],
                ],
                (v) => setForm({ ...form, joint: asWeld(joint, v) }),
                3,
              )}
              {choice(
                "connection",
                "Connection",
                joint.connection,
                groove
                  ? [
                      ["butt", "butt"],
                      ["tee", "tee"],
                      ["corner", "corner"],
                      ["lap", "lap"],
                      ["pipe-butt", "pipe butt"],
                      ["tube-to-plate", "tube to plate"],
                    ]
                  : [
                      ["tee", "tee"],
                      ["lap", "lap"],
                      ["corner", "corner"],
                      ["tube-to-plate", "tube to plate"],
                    ],
                (v) => set({ connection: v, corner: v === "corner" ? "inside" : undefined }),
                3,
              )}
              {joint.connection === "corner" &&
                choice(
                  "corner",
                  "Weld lies",
                  joint.corner,
                  [
                    ["inside", "inside the corner"],
                    ["outside", "outside"],
                  ],
                  (v) => set({ corner: v }),
                  3,
                )}
              {!groove && field("size", "Fillet size (leg)", joint.size, (v) => set({ size: v }), 3, "5/16")}
              {!groove &&
                field(
                  "throat",
                  "or throat",
                  joint.throat,
                  (v) => set({ throat: v, ...(v ? { sizeMeans: undefined } : {}) }),
                  2,
                )}
              {groove &&
                choice(
                  "penetration",
                  "Penetration",
                  joint.penetration,
                  [
                    ["cjp", "complete"],
                    ["pjp", "partial"],
                  ],
                  (v) => set({ penetration: v, throat: v === "pjp" ? joint.throat : undefined }),
                  3,
                )}
              {groove &&
                joint.penetration === "pjp" &&
                field("throat", "Throat", joint.throat, (v) => set({ throat: v }), 2)}
              {field("length", "Length", joint.length, (v) => set({ length: v }), 2, "24")}
              {choice("position", "Position", joint.position, positionsOf(groove), (v) => set({ position: v }), 4)}
              {!groove &&
                field(
                  "dihedral",
                  "Angle between members",
                  joint.dihedral === undefined ? "" : String(joint.dihedral),
                  (v) => set({ dihedral: v === "" ? undefined : Number(v) || 0 }),
                  4,
                  "90",
                )}
              {skewed &&
                !joint.throat &&
                choice(
                  "sizeMeans",
                  "The size means",
                  joint.sizeMeans,
                  [
                    ["", "choose"],
                    ["contact", "leg along the member"],
                    ["perpendicular", "square to the other member"],
                    ["equivalent", "90° leg of equal throat"],
                  ],
                  (v) => set({ sizeMeans: v }),
                  4,
                )}
              {!groove &&
                field("rootOpening", "Fit-up gap", joint.rootOpening, (v) => set({ rootOpening: v }), 2, "none")}
              {groove &&
                choice("groove.prep", "Preparation", joint.groove?.prep, preps, (v) => setGroove({ prep: v }), 3)}
              {groove &&
                joint.groove?.prep !== "square" &&
                field(
                  "groove.includedAngle",
                  "Included angle, °",
                  joint.groove?.includedAngle === undefined ? "" : String(joint.groove.includedAngle),
                  (v) => setGroove({ includedAngle: v === "" ? undefined : Number(v) || 0 }),
                  3,
                  "60",
                )}
              {groove &&
                field(
                  "groove.rootFace",
                  "Root face",
                  joint.groove?.rootFace,
                  (v) => setGroove({ rootFace: v }),
                  2,
                  "1/8",
                )}
              {groove &&
                field(
                  "groove.rootOpening",
                  "Root opening",
                  joint.groove?.rootOpening,
                  (v) => setGroove({ rootOpening: v }),
                  2,
                  "1/8",
                )}
              {groove && tick("backing", "backing stays", joint.backing, (v) => set({ backing: v }))}
              {groove && tick("flush", "flush face", joint.flush, (v) => set({ flush: v }))}
              {tick("closed", "all around", joint.closed, (v) => set({ closed: v }))}
            </Group>
            <Group title="The members">
              {[0, 1].map((n) => (
                <Fragment key={n}>
                  {field(
                    `members[${n}].name`,
                    n === 0 ? "First member, toe A" : "Second member, toe B",
                    members[n]?.name,
                    (v) => setMember(n, { name: v }),
                    3,
                    n === 0 ? "web" : "flange",
                  )}
                  {field(
                    `members[${n}].thickness`,
                    "Thickness",
                    members[n]?.thickness,
                    (v) => setMember(n, { thickness: v }),
                    3,
                    n === 0 ? "3/8" : "3/4",
                  )}
                </Fragment>
              ))}
            </Group>
            <Group title="Less common">
              {field(
                "segments",
                "Intermittent: welded stretches",
                segments,
                (v) => {
                  setSegments(v);
                  set({ segments: spansOf(v) });
                },
                6,
                "0-3, 12-15, 21-24",
              )}
              {!groove &&
                field(
                  "gaps",
                  "Fit-up gaps, where they are",
                  gaps,
                  (v) => {
                    setGaps(v);
                    set({ gaps: gapsOf(v) });
                  },
                  6,
                  "10-14 1/8, 20-21 3/32",
                )}
              {!groove &&
                choice(
                  "use",
                  "Use",
                  joint.use,
                  [
                    ["", "–"],
                    ["web-to-flange", "girder web to flange"],
                    ["stiffener-to-web", "stiffener to web"],
                  ],
                  (v) =>
                    set({
                      use: v,
                      flangeWidth: v === "web-to-flange" ? joint.flangeWidth : undefined,
                      girderEnds: v === "web-to-flange" ? (joint.girderEnds ?? "none") : undefined,
                    }),
                  4,
                )}
              {joint.use === "web-to-flange" &&
                field("flangeWidth", "Flange width", joint.flangeWidth, (v) => set({ flangeWidth: v }), 3)}
              {joint.use === "web-to-flange" &&
                choice(
                  "girderEnds",
                  "Girder ends at",
                  joint.girderEnds,
                  [
                    ["none", "neither end"],
                    ["start", "the datum"],
                    ["end", "the far end"],
                    ["both", "both ends"],
                  ],
                  (v) => set({ girderEnds: v }),
                  3,
                )}
              {skewed &&
                choice(
                  "legs",
                  "Legs are read",
                  joint.legs,
                  [
                    ["", "along the member"],
                    ["perpendicular", "square to the other member"],
                  ],
                  (v) => set({ legs: v }),
                  4,
                )}
              {(joint.connection === "butt" || joint.connection === "pipe-butt") &&
                field(
                  "offsetMax",
                  "Offset at most, by the procedure",
                  joint.offsetMax,
                  (v) => set({ offsetMax: v }),
                  4,
                )}
              {!groove &&
                form.criteria === "d1.1-welder-test" &&
                choice(
                  "testPiece",
                  "Test piece",
                  joint.testPiece,
                  [
                    ["", "not said"],
                    ["break", "is broken: no pore"],
                    ["macro", "is cut for a macro"],
                  ],
                  (v) => set({ testPiece: v || undefined }),
                  4,
                )}
              {choice(
                "primary",
                "Primary member",
                truth(joint.primary),
                unknown,
                (v) => set({ primary: v === "" ? undefined : v === "true" }),
                4,
              )}
              {choice(
                "transverseTension",
                "Across tension",
                truth(joint.transverseTension),
                unknown,
                (v) => set({ transverseTension: v === "" ? undefined : v === "true" }),
                4,
              )}
              {choice(
                "oneSided",
                "Welded from one side",
                truth(joint.oneSided),
                [
                  ["", "no"],
                  ["true", "yes, no backing"],
                ],
                (v) => set({ oneSided: v === "" ? undefined : true }),
                4,
              )}
            </Group>
            <Group title="Made by">
              {field(
                "welder",
                "Welder's stamp",
                form.welder,
                (v) => setForm({ ...form, welder: v }),
                3,
                undefined,
                (welders.data ?? []).map((w) => w.form.stamp),
              )}
              {field(
                "wps",
                "Procedure (WPS)",
                form.wps,
                (v) => setForm({ ...form, wps: v }),
                5,
                "number rev revision",
                (procedures.data ?? []).map((p) => `${p.form.number} rev ${p.form.revision}`),
              )}
              {field("grade", "Base metal", joint.grade, (v) => set({ grade: v }), 4)}
              <div className="field" style={{ gridColumn: "span 5" }}>
                <label htmlFor="weldedAt">Welding finished, where it is</label>
                <input
                  id="weldedAt"
                  type="datetime-local"
                  className="text"
                  value={form.weldedAt ? localTime(new Date(form.weldedAt)) : ""}
                  onChange={(e) =>
                    setForm({
                      ...form,
                      weldedAt: e.target.value
                        ? new Date(e.target.value).toISOString().replace(".000Z", "Z")
                        : undefined,
                    })
                  }
                />
                {message("weldedAt")}
              </div>
              {choice(
                "delayed",
                "InspectedStretch at 48 h later",
                joint.delayed === undefined ? "" : String(joint.delayed),
                [
                  ["", "not said"],
                  ["false", "no"],
                  ["true", "yes (delayed cracking)"],
                ],
                (v) => set({ delayed: v === "" ? undefined : v === "true" }),
                4,
              )}
            </Group>
          </div>
          <aside className="card side">
            <h2 style={{ fontSize: 18 }}>As it will be judged</h2>
            {preview?.section ? (
              <>
                <SectionView section={preview.section} units={form.units ?? "in"} />
                <div>{preview.inWords}</div>
              </>
            ) : (
              <p className="quiet" style={{ margin: "40px 0" }}>
                The cross-section appears when size, length and both thicknesses are given.
              </p>
            )}
            {(preview?.numbers.length ?? 0) > 0 && (
              <section aria-label="Numbers that govern the size">
                <h3 style={{ fontSize: 16, marginBottom: 4 }}>Which number governs</h3>
                <dl className="numbers small">
                  {preview?.numbers.map((n) => (
                    <div key={n.title} className={n.broken ? "broken" : undefined}>
                      <dt>
                        {n.broken && "✕ "}
                        {n.title}
                      </dt>
                      <dd>
                        <b>{n.value}</b>{" "}
                        <span className="quiet">
                          {n.how}
                          {n.broken ? ": the drawn size breaks it" : ""}
                        </span>
                      </dd>
                    </div>
                  ))}
                </dl>
              </section>
            )}
            {(preview?.redLines.length ?? 0) > 0 && (
              <div aria-label="Red lines" className="redlines">
                <h3 style={{ fontSize: 16, marginBottom: 4 }}>✕ Stands against welding it so</h3>
                <ul className="remarks small">
                  {preview?.redLines.map((l) => (
                    <li key={l}>{l}</li>
                  ))}
                </ul>
              </div>
            )}
            {procedure && (
              <div className="small quiet">
                Procedure {form.wps}:{" "}
                <Link to={`/procedures/${procedure.id}`}>{procedure.form.passes?.length ?? 0} passes</Link>
              </div>
            )}
            {(preview?.remarks.length ?? 0) > 0 && (
              <div>
                <h3 style={{ fontSize: 16, marginBottom: 4 }}>Unusual</h3>
                <ul className="remarks small">
                  {preview?.remarks.map((r) => (
                    <li key={r.line}>{r.line}</li>
                  ))}
                </ul>
              </div>
            )}
            {rest.map((p) => (
              <div key={p.field} className="fault">
                {p.field}: {p.problem}
              </div>
            ))}
            {fault !== undefined && (
              <div role="alert" className="fault">
                {saidBy(fault)}
              </div>
            )}
            <button type="submit" className="btn main">
              {jointId ? "Store the change" : "Store and go to the bench"}
            </button>
            <button type="button" className="btn" onClick={() => navigate(-1)}>
              Back
            </button>
          </aside>
        </form>
      </main>
    </div>
  );
}

const unknown: [string, string][] = [
  ["", "not known"],
  ["false", "no"],
  ["true", "yes"],
];

function truth(b?: boolean): string {
  return b === undefined ? "" : String(b);
}

function fieldValue(form: NewJoint, field: string): string {
  const joint = form.joint ?? {};
  const member = /^members\[(\d)]\.(name|thickness)$/.exec(field);
  if (member) return joint.members?.[Number(member[1])]?.[member[2] as "name" | "thickness"] ?? "";
  const value = (joint as Record<string, unknown>)[field] ?? (form as Record<string, unknown>)[field];
  return value === undefined || value === null ? "" : String(value);
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset>
      <legend>{title}</legend>
      <div className="grid">{children}</div>
    </fieldset>
  );
}
