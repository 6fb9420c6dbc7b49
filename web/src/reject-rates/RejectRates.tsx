import { ink } from "../theme";
import { Button, Col, Progress, Row } from "antd";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { api, saidBy, type RejectRate, type RejectRateRow } from "../lib/api";
import { TopBar } from "../lib/TopBar";
import { SmallTable } from "../lib/SmallTable";
import { DataTable, type Column } from "../lib/DataTable";

const kinds = [
  ["welder", "Welders"],
  ["procedure", "Procedures"],
  ["position", "Positions"],
  ["electrode", "Rods"],
] as const;
const inches = (mm: number) => Math.round(mm / 25.4).toLocaleString("en-US");
const rate = (n: number) => (n >= 10 ? n.toFixed(0) : n.toFixed(1));
const percent = (n: number) => `${Math.round(n * 100)}%`;
const nameOf = (by: string, r: { key?: string; name?: string }) =>
  r.key === undefined
    ? "not recorded"
    : r.name
      ? `${r.key}, ${r.name}`
      : by === "position"
        ? `position ${r.key}`
        : r.key;

/** What the signed inspections tell: rejected places per 100 in, with how sure that is. */
export default function RejectRates() {
  const [search, setSearch] = useSearchParams();
  const by = search.get("by") ?? "welder";
  const rates = useQuery({
    queryKey: ["rates", by],
    queryFn: () => api.rejectRates(by),
    placeholderData: keepPreviousData,
  });
  const rows = rates.data?.by === by ? rates.data.rows : [];
  const key = search.has("key") ? (search.get("key") ?? "") : (rows[0]?.key ?? (rows.length > 0 ? "" : undefined));
  const most = Math.max(0.1, ...rows.map((r) => Math.min(r.high, 3 * Math.max(r.per100, 0.5))));
  const few = rows.findIndex((r) => !r.enough);
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves even">
        <section className="card panel" aria-label="Reject rates">
          <header>
            <h2>Rejected places per 100 in</h2>
            <span className="row">
              {kinds.map(([id, word]) => (
                <Button
                  type={by === id ? "primary" : "default"}
                  key={id}
                  aria-pressed={by === id}
                  onClick={() => setSearch({ by: id })}
                >
                  {word}
                </Button>
              ))}
            </span>
          </header>
          <div className="body">
            {rates.isError && (
              <p role="alert" className="fault">
                {saidBy(rates.error)}
              </p>
            )}
            {rates.data && rows.length === 0 && (
              <p>
                No inspection is signed yet. A signed inspection counts with its weld’s length and its rejected places.
              </p>
            )}
            {rows.length > 0 && (
              <DataTable<RejectRateRow>
                name="reject-rates"
                label="Reject rates"
                rows={rows}
                rowKey={(r) => r.key ?? ""}
                chosen={key}
                onOpen={(r) => setSearch({ by, key: r.key ?? "" })}
                columns={columnsFor(by, most)}
                empty=""
              />
            )}
            {few >= 0 && (
              <p className="small quiet">
                △ Fewer than {rates.data?.ranked} welds: too few to be set beside others; they stand last, by name.
              </p>
            )}
            <EyeAgainstTest />
            <p className="cautions">
              Signed QC inspections, the last one of each weld. The bar is the 95% interval of a Poisson count: where
              bars overlap, the difference may be chance. Positions, lengths and joints differ between welders: a rate
              is where to look, not a judgement of a person.
            </p>
          </div>
        </section>
        {key !== undefined && rows.length > 0 && <One by={by} at={key} />}
      </main>
    </div>
  );
}

/** How often the eye accepted a test piece that its specimens then rejected. */
function EyeAgainstTest() {
  const eye = useQuery({ queryKey: ["eye"], queryFn: api.eye });
  const e = eye.data;
  if (!e || e.looked === 0) return null;
  return (
    <section aria-label="Looks good, broke badly">
      <h3>How often does a test piece look good and break badly?</h3>
      <p>
        <b>
          {e.broke} of {e.looked}
        </b>{" "}
        that the eye accepted were rejected by their specimens
        {e.enough
          ? `: ${percent(e.share)}, by chance ${percent(e.low)} to ${percent(e.high)}.`
          : `; too few to say a share (${percent(e.low)} to ${percent(e.high)}).`}{" "}
        <Link to="/test-pieces">The pieces</Link>
      </p>
    </section>
  );
}

function columnsFor(by: string, most: number): Column<RejectRateRow>[] {
  return [
    {
      key: "name",
      title: kinds.find(([id]) => id === by)?.[1] ?? "",
      width: 150,
      value: (r) => nameOf(by, r),
      render: (r) => (
        <Button type="link" className="named">
          {`${r.enough ? "" : "△ "}${nameOf(by, r)}`}
        </Button>
      ),
    },
    { key: "welds", title: "Welds", width: 84, value: (r) => r.welds },
    { key: "inches", title: "Inches", width: 92, value: (r) => r.lengthMm, render: (r) => inches(r.lengthMm) },
    {
      key: "rate",
      title: "per 100 in",
      width: 130,
      value: (r) => r.per100,
      render: (r) => (
        <>
          <b>{rate(r.per100)}</b>{" "}
          <span className="small quiet">
            {rate(r.low)}–{rate(r.high)}
          </span>
        </>
      ),
    },
    { key: "spread", title: "95% interval", width: 110, render: (r) => <Spread row={r} most={most} /> },
  ];
}

function Spread({ row, most }: { row: { per100: number; low: number; high: number }; most: number }) {
  const x = (v: number) => `${Math.min(100, (v / most) * 100)}%`;
  return (
    <svg width="100%" height="24" aria-hidden="true">
      <path d="M0 23.5h400" stroke={ink.line} />
      <rect x={x(row.low)} y="9" width={x(row.high - row.low)} height="8" rx="4" fill={ink.steel} />
      <rect x={x(row.per100)} y="2" width="4" height="20" fill={ink.layout} />
    </svg>
  );
}

function One({ by, at }: { by: string; at: string }) {
  const one = useQuery({
    queryKey: ["rate", by, at],
    queryFn: () => api.rejectRate(by, at),
    placeholderData: keepPreviousData,
  });
  const o = one.data;
  return (
    <section className="card panel" aria-label="One of them">
      <header>
        <h2>{o ? nameOf(by, o.row) : ""}</h2>
      </header>
      <div className="body" role="region" aria-label="Its rate" tabIndex={0}>
        {one.isError && (
          <p role="alert" className="fault">
            {saidBy(one.error)}
          </p>
        )}
        {o && <Opened o={o} />}
      </div>
    </section>
  );
}

function Opened({ o }: { o: RejectRate }) {
  const row: RejectRateRow = o.row;
  return (
    <>
      <p>
        <b className="nc">{rate(row.per100)}</b> rejected places per 100 in: {row.places} in {inches(row.lengthMm)} in
        of {row.welds} {row.welds === 1 ? "weld" : "welds"}. With so many, the true rate may lie anywhere from{" "}
        {rate(row.low)} to {rate(row.high)}.
      </p>
      <h3>Which kinds</h3>
      <Shares rows={o.kinds} none="Nothing was rejected." />
      <Row gutter={20}>
        <Col span={12}>
          <h3>Likely the hand’s</h3>
          <Shares narrow rows={o.hand} none="None." />
        </Col>
        <Col span={12}>
          <h3>Likely the shop’s</h3>
          <Shares narrow rows={o.shop} none="None." />
        </Col>
      </Row>
      <p className="cautions">
        Hand: current, arc, angle, manipulation, speed. Shop: cleaning, rods, fit-up, arc blow, procedure, metal. The
        leading cause of each place, from a ranking and not from proof; shares with their 95% interval (Wilson).
      </p>
      <h3>Trend</h3>
      <SmallTable
        label="Trend"
        rows={o.trend}
        rowKey={(t) => t.from}
        columns={[
          ["Quarter from", (t) => t.from],
          ["Welds", (t) => t.welds],
          ["Inches", (t) => inches(t.lengthMm)],
          ["Places", (t) => t.places],
          [
            "per 100 in",
            (t) => (
              <>
                <b>{rate(t.per100)}</b>{" "}
                <span className="small quiet">
                  {rate(t.low)}–{rate(t.high)}
                </span>
              </>
            ),
          ],
        ]}
      />
    </>
  );
}

/** Shares of the whole; without the bars where there is no room for them. */
function Shares({ rows, none, narrow }: { rows: RejectRate["kinds"]; none: string; narrow?: boolean }) {
  if (rows.length === 0) return <p className="quiet small">{none}</p>;
  return (
    <>
      {rows.map((r) => (
        <div key={r.name} className="item">
          <span>
            {r.name}
            {!narrow && <Progress percent={100 * r.share} size="small" showInfo={false} aria-hidden="true" />}
          </span>
          <span className="nowrap">
            <b>{r.places}</b>{" "}
            <span className="small quiet">
              {percent(r.share)} ({percent(r.low)}–{percent(r.high)})
            </span>
          </span>
        </div>
      ))}
    </>
  );
}
