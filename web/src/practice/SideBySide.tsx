import { Col, Image, Row } from "antd";
import { useQuery } from "@tanstack/react-query";
import { api, type Piece } from "../lib/api";
import { photoOf } from "../lib/api-training";
import { SectionView } from "../lib/SectionView";
import { SmallTable } from "../lib/SmallTable";

/** Two pieces beside each other: pictures, then what was set, seen and scored; what differs stands out. */
export function SideBySide({ one, other, chosen }: { one: string; other: string; chosen: boolean }) {
  const both = useQuery({ queryKey: ["beside", one, other], queryFn: () => api.beside(one, other) });
  const b = both.data;
  if (!b) return null;
  const bold = (differs: boolean, word: string | undefined) => (differs ? <b>{word ?? "–"}</b> : (word ?? "–"));
  return (
    <section className="card panel" aria-label="Side by side">
      <header>
        <h2>Side by side</h2>
        <span className="small quiet">
          {chosen ? "what differs is bold" : "the best and the newest; pick two cards to compare others"}
        </span>
      </header>
      <div className="body">
        <Row gutter={12}>
          <Shot piece={b.one} />
          <Shot piece={b.other} />
        </Row>
        {b.one.visual && b.other.visual && (
          <Row gutter={12}>
            <AtTheBench piece={b.one} />
            <AtTheBench piece={b.other} />
          </Row>
        )}
        <SmallTable
          label="What differs"
          rows={b.rows}
          rowKey={(r) => r.title}
          rowProps={(r) => (r.differs ? { className: "differs" } : {})}
          columns={[
            ["", (r) => r.title, 170],
            [b.one.form.number ?? "", (r) => bold(r.differs, r.one)],
            [b.other.form.number ?? "", (r) => bold(r.differs, r.other)],
          ]}
        />
      </div>
    </section>
  );
}

/** The section of a piece that is at the bench: as read where most is read, else as drawn. */
function AtTheBench({ piece: p }: { piece: Piece }) {
  const bench = useQuery({
    queryKey: ["bench", p.inspectionId],
    queryFn: () => api.bench(p.inspectionId ?? ""),
    enabled: p.inspectionId !== undefined,
  });
  const section = bench.data?.sections.find((s) => s.read) ?? bench.data?.drawn;
  return (
    <Col span={12} className="section-beside">
      {section && bench.data && <SectionView section={section} units={bench.data.joint.units} />}
    </Col>
  );
}

function Shot({ piece: p }: { piece: Piece }) {
  const newest = p.pictures[p.pictures.length - 1];
  return (
    <Col span={12}>
      {newest ? (
        <Image src={photoOf(p.id, newest)} alt={`Piece ${p.form.number ?? ""}`} width="100%" />
      ) : (
        <p className="quiet">no picture</p>
      )}
      <p>
        <b>{p.form.number}</b> · {p.score === undefined ? "not scored" : `${p.score} of 10`}
      </p>
    </Col>
  );
}
