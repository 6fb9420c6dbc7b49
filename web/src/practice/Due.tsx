import { Alert, Button } from "antd";
import { Link } from "react-router";
import type { Handout } from "../lib/api";
import { dayOf } from "../lib/local-time";

/** What was handed out to a learner and is still to be done. */
export function Due({ handouts, welder }: { handouts: Handout[]; welder: string }) {
  return handouts.map((h) => (
    <Alert
      key={h.id}
      type={h.late ? "error" : "info"}
      showIcon
      title={`${h.title}: ${h.late ? "was due" : "due"} ${dayOf(h.due)}`}
      action={
        <Link to={`/test-pieces/new?${new URLSearchParams({ welder, drill: h.drill })}`}>
          <Button size="small">begin it</Button>
        </Link>
      }
    />
  ));
}
