import { Col, Modal, Row, Segmented, Slider } from "antd";
import { useState } from "react";
import type { Bench, Photo } from "../lib/api";
import { photoPath } from "../lib/api-pictures";
import { ChoiceField } from "../lib/fields";

type Props = { bench: Bench; photo: Photo; words: (p: Photo) => string; onClose: () => void };

/** Two pictures of the weld side by side, or one over the other with a slider. */
export default function BesidePicture({ bench, photo, words, onClose }: Props) {
  const others = bench.photos.filter((p) => !p.withdrawn && p.id !== photo.id);
  const [other, setOther] = useState(others[0]?.id ?? "");
  const [as, setAs] = useState<"beside" | "over">("beside");
  const [share, setShare] = useState(50);
  const one = photoPath(bench.id, photo.id);
  const two = photoPath(bench.id, other);
  const named = others.find((p) => p.id === other);
  return (
    <Modal
      open
      title={`Picture ${words(photo)}, beside another`}
      footer={null}
      onCancel={onClose}
      width={1180}
      centered
    >
      <Row gutter={12}>
        <ChoiceField
          id="other"
          label="The other picture"
          span={7}
          value={other}
          options={others.map((p) => [p.id, words(p)] as const)}
          onChange={setOther}
        />
        <Col span={10} className="at-bottom">
          <Segmented
            aria-label="Shown as"
            value={as}
            onChange={setAs}
            options={[
              { value: "beside", label: "side by side" },
              { value: "over", label: "one over the other" },
            ]}
          />
        </Col>
      </Row>
      {as === "beside" ? (
        <Row gutter={12} className="spaced">
          <Col span={12}>
            <img className="photo" src={one} alt={words(photo)} />
          </Col>
          <Col span={12}>{named && <img className="photo" src={two} alt={words(named)} />}</Col>
        </Row>
      ) : (
        <>
          <Slider
            value={share}
            onChange={setShare}
            tooltip={{ open: false }}
            ariaLabelForHandle="How much of the other picture is seen"
          />
          {/* drawn, so that both lie in one frame whatever their sizes */}
          <svg viewBox="0 0 1000 600" width="100%" height="440" role="img" aria-label="One picture over the other">
            <image href={one} width={1000} height={600} />
            <clipPath id="seen-share">
              <rect width={10 * share} height={600} />
            </clipPath>
            <image href={two} width={1000} height={600} clipPath="url(#seen-share)" />
            <path d={`M${10 * share} 0v600`} stroke="var(--paper)" strokeWidth={3} />
          </svg>
        </>
      )}
    </Modal>
  );
}
