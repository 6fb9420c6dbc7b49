import { newId } from "../lib/id";
import { keepPicture } from "../lib/outbox";
import { saidOf, type Doing } from "./useBench";

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
  return (
    <label className="pick camera" title={`Picture ${words} (PNG or JPEG, up to 10 MB)`}>
      <svg
        width="24"
        height="20"
        viewBox="0 0 24 20"
        aria-hidden="true"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
      >
        <path d="M2 5h5l2-3h6l2 3h5v13H2z" strokeLinejoin="round" />
        <circle cx="12" cy="11" r="4" />
      </svg>
      <input
        type="file"
        accept="image/png,image/jpeg"
        capture="environment"
        className="unseen"
        aria-label={`Picture ${words}`}
        onChange={(e) => {
          const f = e.target.files?.[0];
          e.target.value = "";
          if (f) void take(f);
        }}
      />
    </label>
  );
}
