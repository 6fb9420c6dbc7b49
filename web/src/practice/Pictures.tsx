import { CameraOutlined } from "@ant-design/icons";
import { Button, Flex, Image } from "antd";
import { useState } from "react";
import { api, type Piece } from "../lib/api";
import { photoOf, thumbnailOf } from "../lib/api-training";
import { FileButton } from "../lib/FileButton";
import { newId } from "../lib/id";

const mostBytes = 10 * 1024 * 1024;

/** The pictures of a piece, a touch away in full. */
export function Pictures({
  piece: p,
  mayChange,
  change,
}: {
  piece: Piece;
  mayChange: boolean;
  change: { mutate: (act: () => Promise<Piece>) => void };
}) {
  const [tooLarge, setTooLarge] = useState(false);
  return (
    <section aria-label="Pictures">
      <h3>Pictures</h3>
      <Flex wrap gap={10} align="start">
        {p.pictures.map((photo, i) => (
          <div key={photo} className="column">
            <Image
              src={thumbnailOf(p.id, photo)}
              preview={{ src: photoOf(p.id, photo) }}
              alt={`Picture ${i + 1} of ${p.form.number}`}
              height={110}
            />
            {mayChange && (
              <Button type="link" size="small" onClick={() => change.mutate(() => api.piecePhotoOff(p.id, photo))}>
                take off
              </Button>
            )}
          </div>
        ))}
        {mayChange && (
          <FileButton
            accept="image/png,image/jpeg"
            label="Add a picture (PNG or JPEG, up to 10 MB)"
            icon={<CameraOutlined />}
            onFile={(file) => {
              setTooLarge(file.size > mostBytes);
              if (file.size <= mostBytes) change.mutate(() => api.piecePhoto(p.id, newId(), file));
            }}
          >
            Add a picture
          </FileButton>
        )}
      </Flex>
      {tooLarge && <p className="fault">a picture has at most 10 MB; take it with fewer points, or crop it</p>}
    </section>
  );
}
