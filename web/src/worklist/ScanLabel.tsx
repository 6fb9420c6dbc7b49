import { BrowserQRCodeReader } from "@zxing/browser";
import { Flex } from "antd";
import { useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { FileButton } from "../lib/FileButton";
import { TopBar } from "../lib/TopBar";
import { wayOf } from "./label";

/** A label before the tablet's camera opens its weld; where the camera may not be used, a picture of the label does. */
export default function ScanLabel() {
  const video = useRef<HTMLVideoElement>(null);
  const [said, setSaid] = useState("");
  const [camera, setCamera] = useState(true);
  const navigate = useNavigate();
  const [found, setFound] = useState<string>();
  const way = found === undefined ? undefined : wayOf(found);
  useEffect(() => {
    if (way) void navigate(way, { replace: true });
  }, [way, navigate]);
  useEffect(() => {
    const reader = new BrowserQRCodeReader();
    let over = false;
    let stop = () => undefined as void;
    reader
      .decodeFromVideoDevice(undefined, video.current ?? undefined, (result) => {
        if (result) setFound(result.getText());
      })
      .then(
        (controls) => {
          stop = () => controls.stop();
          if (over) stop();
        },
        () => {
          setCamera(false);
          setSaid(
            "The camera cannot be used here: it needs a safe connection (https) and your leave. Take a picture of the label instead.",
          );
        },
      );
    return () => {
      over = true;
      stop();
    };
  }, []);
  const read = (file: File) => {
    const reading = new FileReader();
    reading.onload = () =>
      new BrowserQRCodeReader().decodeFromImageUrl(typeof reading.result === "string" ? reading.result : "").then(
        (result) => setFound(result.getText()),
        () => setSaid("No code is seen in this picture: nearer, sharper, the whole code in it."),
      );
    reading.readAsDataURL(file);
  };
  return (
    <div className="app">
      <TopBar rooms />
      <main className="page scrolled">
        <section className="card side" aria-label="Scan a label">
          <h2>{camera ? "Hold a label before the camera" : "A label opens its weld"}</h2>
          {camera && <video ref={video} className="photo" muted playsInline aria-label="What the camera sees" />}
          <Flex gap={10} align="center" wrap className="spaced">
            <FileButton accept="image/*" onFile={read}>
              A picture of the label
            </FileButton>
            <span role="status">
              {found !== undefined && way === undefined
                ? `This code is no label of a weld: ${found.slice(0, 60)}`
                : said}
            </span>
          </Flex>
        </section>
      </main>
    </div>
  );
}
