import { CameraOutlined } from "@ant-design/icons";
import { isPractice } from "../lib/api-bench";
import { newId } from "../lib/id";
import { keepPicture } from "../lib/outbox";
import { saidOf, type Doing } from "./useBench";
import { FileButton } from "../lib/FileButton";

type Props = {
  doing: Doing;
  of: { at: string } | { entry: string };
  words: string;
  onSaid: (words: string) => void;
  onFault: (fault: unknown) => void;
};

const mostBytes = 10 * 1024 * 1024;

/** A picture from the tablet's camera or a file, at the cursor or of the entry in hand. */
export function PhotoButton({ doing, of, words, onSaid, onFault }: Props) {
  const take = async (file: File) => {
    if (file.size > mostBytes) {
      onFault(new Error("a picture has at most 10 MB; take it with fewer points, or crop it"));
      return;
    }
    const id = newId();
    const said = `picture ${words}`;
    try {
      await keepPicture(id, file);
      const kept = await doing.act({ do: "photo", photo: id, ...of }, said);
      onFault(undefined);
      onSaid(saidOf(kept, said));
    } catch (e) {
      onFault(e);
    }
  };
  if (isPractice(doing.id)) return null; // what is made up has nothing to photograph
  return (
    <FileButton
      accept="image/png,image/jpeg"
      label={`Picture ${words} (PNG or JPEG, up to 10 MB)`}
      icon={<CameraOutlined />}
      onFile={(f) => void take(f)}
    />
  );
}
