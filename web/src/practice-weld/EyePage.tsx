import "../practice/practice.css";
import { Col, Row, Select } from "antd";
import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import { Link } from "react-router";
import { api, saidBy } from "../lib/api";
import { eyeReportOf, type Eye, type EyeKind } from "../lib/api-practice";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { SmallTable } from "../lib/SmallTable";
import { TopBar } from "../lib/TopBar";

const DetectionPlot = lazy(() => import("./DetectionPlot"));
const everybody = "everybody";
const percent = (v: number) => `${Math.round(v * 100)} %`;
const mm = (v: number) => `${v.toFixed(2)} mm (${(v / 25.4).toFixed(3)} in)`;

/** How far an eye can be trusted, by the practice that was handed in. */
export default function EyePage() {
  const actor = useActor();
  const sees = holds(actor, "QUALITY_MANAGER", "INSTRUCTOR");
  const [whose, setWhose] = useState(sees ? everybody : actor.id);
  const eye = useQuery({
    queryKey: ["eye", whose],
    queryFn: () => api.eyeOf(whose === everybody ? undefined : whose),
  });
  const e = eye.data;
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves wide-left">
        <section className="card panel" aria-label="The eye">
          <header>
            <h2>How small a flaw is still seen?</h2>
          </header>
          <div className="body" role="region" aria-label="By kind of flaw" tabIndex={0}>
            {e?.welds === 0 && (
              <p>
                Nothing is handed in yet. <Link to="/practice">Practice welds</Link> are made up, so that what truly is
                there is known.
              </p>
            )}
            <Row gutter={[16, 12]}>
              {e?.kinds.map((k) => (
                <Kind key={k.id} kind={k} />
              ))}
            </Row>
            {e && e.kinds.length > 0 && <Sized eye={e} />}
          </div>
        </section>
        <section className="card side" aria-label="Whose eye">
          {sees && (
            <Select
              aria-label="Whose eye"
              value={whose}
              popupMatchSelectWidth={false}
              options={[
                { value: everybody, label: "everybody together" },
                { value: actor.id, label: `${actor.name} (you)` },
                ...(e?.people ?? []).filter((p) => p.id !== actor.id).map((p) => ({ value: p.id, label: p.name })),
              ]}
              onChange={setWhose}
            />
          )}
          {eye.isError && (
            <p role="alert" className="fault">
              {saidBy(eye.error)}
            </p>
          )}
          {e && e.welds > 0 && (
            <>
              <p>
                {e.person}: {e.welds} {e.welds === 1 ? "weld" : "welds"} handed in, the verdict right in{" "}
                <b>{e.right}</b>, {percent(e.right / e.welds)} (by chance {percent(e.rightLow)} to{" "}
                {percent(e.rightHigh)}).
              </p>
              <p>Called {e.calledPerWeld.toFixed(1)} a weld that is not there.</p>
              <p>
                <a href={eyeReportOf(whose === everybody ? undefined : whose, "pdf")} target="_blank" rel="noreferrer">
                  PDF
                </a>{" "}
                · <a href={eyeReportOf(whose === everybody ? undefined : whose, "csv")}>all trials as CSV</a>
              </p>
              <p>● found, ✚ missed. Dashed: nine of ten are found of this size. Dotted: with 95 % confidence.</p>
              <p className="cautions">
                A logistic curve through hits and misses by greatest likelihood; the bound is the profile likelihood’s,
                one-sided. It holds for made-up welds on a screen: at a real weld, with glare, slag and fatigue, less is
                seen.
              </p>
            </>
          )}
        </section>
      </main>
    </div>
  );
}

function Sized({ eye: e }: { eye: Eye }) {
  return (
    <SmallTable
      label="Found and sized"
      rows={e.kinds}
      rowKey={(k) => k.id}
      columns={[
        ["Flaw", (k) => k.title],
        ["Found", (k) => `${k.found} of ${k.trials}`],
        ["Nine of ten found at", (k) => (k.a90 === undefined ? "not known" : mm(Math.max(0, k.a90)))],
        ["With 95 % confidence", (k) => (k.surely === undefined ? "not known" : mm(k.surely))],
        [
          "Sizes recorded",
          (k) =>
            k.bias === undefined
              ? "none"
              : `${k.sized}: ${mm(Math.abs(k.bias))} too ${k.bias < 0 ? "small" : "large"} in the mean${
                  k.spread === undefined ? "" : `, spread ${k.spread.toFixed(2)} mm`
                }`,
        ],
      ]}
    />
  );
}

function Kind({ kind: k }: { kind: EyeKind }) {
  return (
    <Col xs={24} md={12} role="group" aria-label={k.title}>
      <h3>{k.title}</h3>
      <p>{k.said}.</p>
      <Suspense fallback={<div className="curve" />}>
        <DetectionPlot kind={k} />
      </Suspense>
    </Col>
  );
}
