import { ink } from "../theme";
import type { Photo } from "./api";
import { gutter } from "./strip-layout";

type PicturesProps = {
  photos: Photo[];
  look: string;
  x: (mm: number) => number;
  top: number;
  end: number;
  onPhoto?: (photo: Photo) => void;
};

/** Pictures at their places; those that would lie on each other stand beside. */
export function Pictures({ photos, look, x, top, end, onPhoto }: PicturesProps) {
  return (
    <g>
      {besideEachOther(photos, x, end).map(({ p, left }) => {
        return (
          <g
            cursor="pointer"
            key={p.id}
            data-photo={p.id}
            onClick={(e) => {
              e.stopPropagation();
              onPhoto?.(p);
            }}
          >
            <title>{`picture at ${p.label ?? "its entry"}, ${p.by}`}</title>
            <path d={`M${x(p.at)} ${top - 2}L${left + 24} ${top + 4}`} stroke={ink.quiet} strokeWidth="1.5" />
            <rect
              x={left}
              y={top + 3}
              width="48"
              height="36"
              rx="4"
              fill={ink.lane}
              stroke={ink.text}
              strokeWidth="1.5"
            />
            <image
              href={`/api/inspections/${look}/photos/${p.id}/thumbnail`}
              x={left + 1}
              y={top + 4}
              width="46"
              height="34"
              preserveAspectRatio="xMidYMid slice"
            />
          </g>
        );
      })}
    </g>
  );
}

function besideEachOther(photos: Photo[], x: (mm: number) => number, end: number) {
  let free = gutter;
  return [...photos]
    .sort((a, b) => a.at - b.at)
    .map((p) => {
      const left = Math.min(Math.max(free, x(p.at) - 24), end - 48);
      free = left + 52;
      return { p, left };
    });
}
