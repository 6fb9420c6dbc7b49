import { Button } from "antd";
import { saidBy } from "./api";

/** The end of a form: what was refused, the button that stores it, and the way out. */
export function FormFoot({ fault, word, onLeave }: { fault: unknown; word?: string; onLeave?: () => void }) {
  return (
    <>
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
      {word && (
        <Button className="spaced" type="primary" htmlType="submit">
          {word}
        </Button>
      )}
      {onLeave && (
        <Button type="link" onClick={onLeave}>
          leave
        </Button>
      )}
    </>
  );
}
