import { useQuery } from "@tanstack/react-query";
import { Button, Card, Col, Empty, Flex, Row } from "antd";
import { lazy, Suspense, useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { api, saidBy, type Series, type SeriesCard } from "../lib/api";
import { thumbnailOf } from "../lib/api-training";
import { Choice } from "../lib/fields";
import { dayOf } from "../lib/local-time";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { Due } from "./Due";
import "./practice.css";
import { SideBySide } from "./SideBySide";

const ScoreCurve = lazy(() => import("./ScoreCurve"));

/** The pieces of one welder in the order in which they were welded: what was changed, what helped, what to change next. */
export default function SeriesPage() {
  const actor = useActor();
  const { welder = actor.login } = useParams();
  const [query, setQuery] = useSearchParams();
  const drill = query.get("drill") ?? "";
  const series = useQuery({
    queryKey: ["series", welder, drill],
    queryFn: () => api.series(welder, drill || undefined),
  });
  const s = series.data;
  return (
    <div className="app">
      <TopBar rooms />
      <main className="scrolled">
        {!s && <p className="page">{series.isError ? saidBy(series.error) : "Opening …"}</p>}
        {s && (
          <Flex vertical gap={12} className="side">
            <Flex wrap gap={12} align="center">
              <h1>{s.name}</h1>
              <Choice
                width={230}
                aria-label="Exercise"
                value={drill}
                options={[["", "all pieces"], ...s.drills.map((d) => [d.id, d.title] as const)]}
                onChange={(d) => setQuery(d ? { drill: d } : {})}
              />
              <span className="grow" />
              <Out welder={welder} drill={drill} />
              <NewPiece series={s} welder={welder} drill={drill} />
            </Flex>
            <Due handouts={s.handouts.filter((h) => !h.done)} welder={welder} />
            {s.cards.length === 0 ? (
              <Empty description="No piece yet. Weld one, take a picture, and begin the series." />
            ) : (
              <Pieces key={`${welder} ${drill}`} series={s} />
            )}
          </Flex>
        )}
      </main>
    </div>
  );
}

/** The series on paper, or for a spreadsheet. */
function Out({ welder, drill }: { welder: string; drill: string }) {
  const to = (as: string) =>
    `/api/series/${encodeURIComponent(welder)}/report?${new URLSearchParams({ as, ...(drill ? { drill } : {}) })}`;
  return (
    <span className="row small">
      <a className="way" href={to("pdf")} target="_blank" rel="noreferrer">
        on paper
      </a>
      <a className="way" href={to("csv")} download>
        CSV
      </a>
      <a className="way" href={to("json")} download>
        JSON
      </a>
    </span>
  );
}

/** The next piece is a copy of the last, with the one change in it. */
function NewPiece({ series: s, welder, drill }: { series: Series; welder: string; drill: string }) {
  const navigate = useNavigate();
  const last = s.cards[s.cards.length - 1];
  const go = () => {
    const q = new URLSearchParams(last ? { from: last.piece.id } : { welder, ...(drill ? { drill } : {}) });
    if (last && s.next) q.set("setting", s.next.setting);
    if (last && s.next?.to !== undefined) q.set("to", s.next.to);
    void navigate(`/test-pieces/new?${q}`);
  };
  return (
    <Button type="primary" onClick={go}>
      {last ? "Next piece" : "First piece"}
    </Button>
  );
}

function Pieces({ series: s }: { series: Series }) {
  const [picked, setPicked] = useState<string[]>([]);
  const pick = (id: string) =>
    setPicked(picked.includes(id) ? picked.filter((x) => x !== id) : [...picked.slice(-1), id]);
  const best = s.best === undefined ? undefined : s.cards[s.best];
  const last = s.cards[s.cards.length - 1];
  const both: [string, string] | undefined =
    picked[0] !== undefined && picked[1] !== undefined
      ? [picked[0], picked[1]]
      : best && last && best !== last
        ? [best.piece.id, last.piece.id]
        : undefined;
  return (
    <>
      <Row gutter={[12, 12]}>
        <Col xs={24} md={14}>
          <section className="card panel" aria-label="Score over the pieces">
            <header>
              <h2>Score</h2>
              <span className="small quiet">each piece of the series, 0 to 10, with what was changed</span>
            </header>
            <div className="body">
              <Suspense fallback={<div className="curve" />}>
                <ScoreCurve cards={s.cards} best={s.best} onPick={pick} />
              </Suspense>
            </div>
          </section>
        </Col>
        <Col xs={24} md={10}>
          <Learned series={s} />
        </Col>
      </Row>
      <div className="strip-of-cards" role="list" aria-label="Pieces in order">
        {s.cards.map((c, i) => (
          <PieceInSeries
            key={c.piece.id}
            card={c}
            best={i === s.best}
            picked={picked.includes(c.piece.id)}
            onPick={() => pick(c.piece.id)}
          />
        ))}
      </div>
      {both && <SideBySide one={both[0]} other={both[1]} chosen={picked.length === 2} />}
    </>
  );
}

/** So many changes are shown until somebody asks for all. */
const shown = 3;

/** What to change next, what helped before, and what the eye did not see. */
function Learned({ series: s }: { series: Series }) {
  const [all, setAll] = useState(false);
  return (
    <section className="card panel" aria-label="What it teaches">
      <header>
        <h2>Change one thing</h2>
      </header>
      <div className="body">
        {s.next ? (
          <p className="marked">
            <b className="big">{s.next.words}</b>
            <br />
            {s.next.why}.
          </p>
        ) : (
          <p className="quiet">Nothing on record speaks for a change. Score the last piece and count its faults.</p>
        )}
        {s.sinceBest.length > 0 && (
          <p>
            <b>Since the best piece:</b> {s.sinceBest.join("; ")}
          </p>
        )}
        {s.tried.length > 0 && <h3>One change at a time, so far</h3>}
        {(all ? s.tried : s.tried.slice(0, shown)).map((t, i) => (
          <div key={i} className="item">
            <span>{t.words}</span>
            <b className={t.broke || t.gain < 0 ? "v-reject" : t.gain > 0 ? "v-accept" : undefined}>
              {t.broke && "broke, "}
              {t.gain > 0 ? `+${t.gain}` : t.gain < 0 ? `−${-t.gain}` : "±0"}
            </b>
          </div>
        ))}
        {!all && s.tried.length > shown && (
          <Button type="link" className="start" onClick={() => setAll(true)}>
            all {s.tried.length}
          </Button>
        )}
        {s.lessons > 0 && (
          <p className="fault">
            {s.lessons} {s.lessons === 1 ? "piece" : "pieces"} looked good and broke badly.
          </p>
        )}
        <p className="cautions">
          Common practice, no source; the procedure goes first. A welder’s own record is few pieces: it shows what may
          help, and proves nothing.
        </p>
      </div>
    </section>
  );
}

function PieceInSeries({
  card: c,
  best,
  picked,
  onPick,
}: {
  card: SeriesCard;
  best: boolean;
  picked: boolean;
  onPick: () => void;
}) {
  const p = c.piece;
  return (
    <Card
      size="small"
      role="listitem"
      variant={picked ? "outlined" : "borderless"}
      cover={
        <Link to={`/test-pieces/${p.id}`}>
          {p.picture ? (
            <img src={thumbnailOf(p.id, p.picture)} alt={`Piece ${p.number}`} />
          ) : (
            <span className="no-picture quiet">no picture</span>
          )}
        </Link>
      }
      actions={[
        <Button key="pick" type={picked ? "primary" : "link"} size="small" aria-pressed={picked} onClick={onPick}>
          {picked ? "picked" : "compare"}
        </Button>,
      ]}
    >
      <Flex justify="space-between" align="center" gap={6}>
        <Link to={`/test-pieces/${p.id}`} className="big">
          {p.number}
        </Link>
        <b className="big">{p.score ?? "–"}</b>
      </Flex>
      <div className="small quiet">
        {dayOf(p.made)}
        {p.drill ? ` · ${p.drill}` : ` · ${p.kind}`}
        {best ? " · best" : ""}
      </div>
      <div className={c.changes > 1 ? "hint small" : "small"}>{c.step}</div>
      {c.faults.length > 0 && (
        <div className="small">
          {c.faults.map((f) => `${f.count} ${f.fault}${f.rate === undefined ? "" : ` (${f.rate})`}`).join(", ")}
        </div>
      )}
      {c.settings.length > 0 && (
        <div className="small quiet">{c.settings.map((x) => `${x.title} ${x.shown}`).join(", ")}</div>
      )}
      {c.points.length > 0 && (
        <div className="small quiet">
          {c.points.map((x) => `${x.title.toLowerCase()} ${x.points}/${x.most}`).join(", ")}
        </div>
      )}
      {c.tests.length > 0 && <div className="small">{c.tests.join(", ")}</div>}
      {p.lesson && <div className="fault small">looks good, broke badly</div>}
    </Card>
  );
}
