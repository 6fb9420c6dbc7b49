import { Button, Col, Modal, Row, Segmented } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField, saidBy } from "../lib/api";
import { cardPath, type PicturePlace, type PictureValue } from "../lib/api-pictures";
import { ChoiceField, TextField } from "../lib/fields";
import { FormGrid } from "../lib/FormGrid";
import { newId } from "../lib/id";
import { useActor } from "../lib/session";
import { PictureView } from "./PictureView";

type Props = {
  src: string;
  title: string;
  units: string;
  /** Where notes, arrows and measures are kept; absent of a picture that is nowhere yet. */
  kept?: { inspection: string; photo: string; mayMark: boolean };
  /** What a length may be taken over as, by id and words. */
  takes: readonly (readonly [string, string])[];
  onTake: (as: string, value: PictureValue) => void;
  onClose: () => void;
};

type Tool = "scale" | "measure" | "note" | "arrow";

/** A picture one measures in: a scale first, then what is pointed at; notes and arrows beside it. */
export default function MeasurePicture({ src, title, units, kept: at, takes, onTake, onClose }: Props) {
  const [tool, setTool] = useState<Tool>("scale");
  const [by, setBy] = useState<"two" | "card">("two");
  const [marks, setMarks] = useState<PicturePlace[]>([]);
  const [size, setSize] = useState({ distance: "", width: "80mm", height: "50mm" });
  const [quantity, setQuantity] = useState("distance");
  const [points, setPoints] = useState<PicturePlace[]>([]);
  const [pixels, setPixels] = useState(2);
  const [said, setSaid] = useState("");
  const quantities = useQuery({
    queryKey: ["picture-quantities"],
    queryFn: api.pictureQuantities,
    staleTime: Infinity,
  });
  const photo = at?.photo ?? "";
  const kept = useQuery({
    queryKey: ["picture-marks", photo],
    queryFn: () => api.pictureMarks(at?.inspection ?? "", photo),
    enabled: at !== undefined,
  });
  const queries = useQueryClient();
  const [fault, setFault] = useState<unknown>();
  const q = quantities.data?.find((x) => x.id === quantity);
  const wanted = by === "two" ? 2 : 4;
  const scaled = marks.length === wanted && (by === "card" ? size.width && size.height : size.distance) !== "";
  const form = {
    marks,
    units,
    quantity,
    points,
    pixels,
    ...(by === "card" ? { width: size.width, height: size.height } : { distance: size.distance }),
  };
  const measured = useQuery({
    queryKey: ["measured", form],
    queryFn: () => api.measureInPicture(form),
    enabled: tool === "measure" && scaled && q !== undefined && points.length >= q.least,
    retry: false,
  });
  const mayMark = at?.mayMark === true;
  const mark = async (kind: string, words: string, places: PicturePlace[]) => {
    try {
      queries.setQueryData(
        ["picture-marks", photo],
        await api.markPicture(at?.inspection ?? "", photo, newId(), { kind, said: words, points: places }),
      );
      setFault(undefined);
      setPoints([]);
      setSaid("");
    } catch (x) {
      setFault(x);
    }
  };
  const point = (p: PicturePlace, finger: number) => {
    if (tool === "scale") setMarks(marks.length >= wanted ? [p] : [...marks, p]);
    else {
      const most = tool === "note" ? 1 : tool === "arrow" ? 2 : (q?.most ?? 2);
      setPoints(points.length >= most ? [p] : [...points, p]);
      setPixels(finger);
    }
  };
  const turn = (to: Tool) => {
    setTool(to);
    setPoints([]);
    setFault(undefined);
  };
  const problems = problemsByField(measured.error);
  const tools: Tool[] = mayMark ? ["scale", "measure", "note", "arrow"] : ["scale", "measure"];
  return (
    <Modal open title={title} footer={null} onCancel={onClose} width={1180} centered>
      <Row gutter={14}>
        <Col xs={24} md={16} className="halved">
          <PictureView
            src={src}
            label={`${title}, to point in`}
            marks={marks}
            points={points}
            closed={quantity === "area" && tool === "measure"}
            kept={kept.data ?? []}
            onPoint={point}
          />
        </Col>
        <Col xs={24} md={8}>
          <Segmented
            block
            aria-label="What a touch does"
            value={tool}
            onChange={turn}
            options={tools.map((t) => ({ value: t, label: t }))}
          />
          {tool === "scale" && (
            <FormGrid>
              <ChoiceField
                id="by"
                label="The scale comes from"
                value={by}
                options={[
                  ["two", "two points, the camera square to the plate"],
                  ["card", "a card in the plane, its four corners"],
                ]}
                onChange={(v) => {
                  setBy(v as "two" | "card");
                  setMarks([]);
                }}
              />
              {by === "two" ? (
                <TextField
                  id="distance"
                  label={`A to B is, ${units}`}
                  value={size.distance}
                  placeholder={units === "in" ? "1" : "25"}
                  onChange={(v) => setSize({ ...size, distance: v })}
                />
              ) : (
                <>
                  <TextField
                    id="width"
                    label="A to B is"
                    span={6}
                    value={size.width}
                    onChange={(v) => setSize({ ...size, width: v })}
                  />
                  <TextField
                    id="height"
                    label="B to C is"
                    span={6}
                    value={size.height}
                    onChange={(v) => setSize({ ...size, height: v })}
                  />
                </>
              )}
            </FormGrid>
          )}
          {tool === "scale" && (
            <p className="small">
              {marks.length < wanted
                ? `Touch ${by === "two" ? "two points of known distance, far apart" : "the card’s corners, around it"}: ${marks.length} of ${wanted}.`
                : scaled
                  ? "The scale is set: measure."
                  : "Now its true length."}{" "}
              <a href={cardPath} target="_blank" rel="noreferrer">
                A card to print
              </a>
            </p>
          )}
          {tool === "measure" && (
            <FormGrid>
              <ChoiceField
                id="quantity"
                label="What is measured"
                value={quantity}
                options={(quantities.data ?? []).map((x) => [x.id, x.title] as const)}
                onChange={(v) => {
                  setQuantity(v);
                  setPoints([]);
                }}
              />
            </FormGrid>
          )}
          {tool === "measure" && <p className="small">{scaled ? `Touch ${q?.points ?? ""}.` : "First the scale."}</p>}
          {tool === "measure" && measured.data && (
            <Taken
              value={measured.data}
              takes={takes}
              onTake={onTake}
              {...(mayMark ? { onKeep: () => void mark("measure", measured.data.said, points) } : {})}
            />
          )}
          {(tool === "note" || tool === "arrow") && (
            <FormGrid>
              <TextField id="said" label="What it says" value={said} onChange={setSaid} />
            </FormGrid>
          )}
          {(tool === "note" || tool === "arrow") && (
            <Button
              type="primary"
              disabled={said.trim() === "" || points.length < (tool === "note" ? 1 : 2)}
              onClick={() => void mark(tool, said, points)}
            >
              Put it on the picture
            </Button>
          )}
          {(measured.isError || fault !== undefined) && (
            <p role="alert" className="fault">
              {Object.values(problems)[0] ?? saidBy(measured.error ?? fault)}
            </p>
          )}
          {at && <KeptMarks inspection={at.inspection} photo={photo} marks={kept.data ?? []} />}
          <p className="cautions">
            From a picture: a gauge on the weld comes first, and the limit of a criterion near it is not decided by a
            picture. The plane of the card must be the plane of what is measured.
          </p>
        </Col>
      </Row>
    </Modal>
  );
}

/** The value, and what may become of it. */
function Taken({
  value: v,
  takes,
  onTake,
  onKeep,
}: {
  value: PictureValue;
  takes: Props["takes"];
  onTake: Props["onTake"];
  onKeep?: () => void;
}) {
  return (
    <>
      <p className="big" aria-live="polite">
        {v.said}
      </p>
      {takes.length > 0 && v.entered !== undefined && (
        <FormGrid>
          <ChoiceField
            id="take"
            label="Take it over as"
            value=""
            options={[["", "choose"], ...takes]}
            onChange={(as) => as && onTake(as, v)}
          />
        </FormGrid>
      )}
      {onKeep && <Button onClick={onKeep}>Keep it on the picture</Button>}
    </>
  );
}

function KeptMarks({
  inspection,
  photo,
  marks,
}: {
  inspection: string;
  photo: string;
  marks: { id: string; said: string; by?: string }[];
}) {
  const actor = useActor();
  const queries = useQueryClient();
  const off = async (id: string) =>
    queries.setQueryData(["picture-marks", photo], await api.pictureMarkOff(inspection, photo, id));
  return marks.map((m) => (
    <div key={m.id} className="item">
      <span>
        {m.said} <span className="small quiet">{m.by}</span>
      </span>
      {m.by === actor.name && (
        <Button type="link" onClick={() => void off(m.id)}>
          take off
        </Button>
      )}
    </div>
  ));
}
