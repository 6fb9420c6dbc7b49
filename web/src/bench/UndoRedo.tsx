import { RollbackOutlined } from "@ant-design/icons";
import { Button } from "antd";
import { useEffect } from "react";
import { useBusy, useTrack, type Doing } from "./useBench";

type Props = { doing: Doing; onSaid: (words: string) => void; onFault: (fault: unknown) => void };

/** Takes back what was recorded last, and does it again; each says what it would be about. */
export function UndoRedo({ doing, onSaid, onFault }: Props) {
  const { canUndo, canRedo } = useTrack(doing.id);
  const busy = useBusy(doing.id);
  const move = async (which: "undo" | "redo") => {
    try {
      const words = await doing[which]();
      onFault(undefined);
      if (words) onSaid(`${which === "undo" ? "Taken back" : "Recorded again"}: ${words}`);
    } catch (e) {
      onFault(e);
    }
  };
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement;
      // a field that holds something has an undo of its own
      if ((target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) && target.value !== "") return;
      if (!(e.ctrlKey || e.metaKey) || e.altKey) return;
      const which =
        e.key.toLowerCase() === "z" ? (e.shiftKey ? "redo" : "undo") : e.key.toLowerCase() === "y" ? "redo" : undefined;
      if (!which) return;
      e.preventDefault();
      void move(which);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
  return (
    <>
      <Button
        className="square"
        aria-label={`Undo ${canUndo ?? ""}`.trim()}
        title={canUndo ? `Undo: ${canUndo} (Ctrl Z)` : "Nothing to undo"}
        disabled={!canUndo || busy}
        icon={<RollbackOutlined />}
        onClick={() => void move("undo")}
      />
      <Button
        className="square"
        aria-label={`Redo ${canRedo ?? ""}`.trim()}
        title={canRedo ? `Redo: ${canRedo} (Ctrl Y)` : "Nothing to redo"}
        disabled={!canRedo || busy}
        icon={<RollbackOutlined rotate={180} />}
        onClick={() => void move("redo")}
      />
    </>
  );
}
