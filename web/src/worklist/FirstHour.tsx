import { holds, type Role } from "../lib/roles";
import { useQuery } from "@tanstack/react-query";
import { Button, Card, Flex, Steps } from "antd";
import { Link } from "react-router";
import { api } from "../lib/api";
import { useActor } from "../lib/session";

type Step = { done: boolean; words: string; why: string; to: string; who: Role[] };

/** The list of an empty shop: what is wanted before the first inspection can be signed. It ticks itself. */
export function FirstHour() {
  const actor = useActor();
  const people = useQuery({ queryKey: ["people"], queryFn: api.people });
  const books = useQuery({ queryKey: ["books"], queryFn: api.books });
  const gauges = useQuery({ queryKey: ["gauges"], queryFn: api.gauges });
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs });
  const steps: Step[] = [
    {
      done: (people.data ?? []).some((p) => holds(p, "INSPECTOR")),
      words: "People and their roles",
      why: "who inspects, who leads repairs, who is the welding engineer",
      to: "/people",
      who: ["QUALITY_MANAGER"],
    },
    {
      done: (books.data ?? []).some((b) => b.check?.stands),
      words: "Acceptance criteria checked against your copy",
      why: "until then nothing is signed by them",
      to: "/criteria",
      who: ["QUALITY_MANAGER"],
    },
    {
      done: (gauges.data ?? []).length > 0,
      words: "Gauges",
      why: "so that a reading names what read it, and its calibration is watched",
      to: "/gauges",
      who: ["QUALITY_MANAGER", "INSPECTOR"],
    },
    {
      done: (jobs.data ?? []).length > 0,
      words: "A job",
      why: "it holds the code, the units, drawings and lots",
      to: "/jobs/new",
      who: ["QUALITY_MANAGER", "INSPECTOR", "WELDING_ENGINEER"],
    },
    {
      done: false,
      words: "The first joint",
      why: "what the drawing asks of one weld; a tour of the bench begins when it is set up. Or bring a weld list to the job",
      to: "/joints/new?first",
      who: ["QUALITY_MANAGER", "INSPECTOR", "WELDING_ENGINEER"],
    },
  ];
  const next = steps.findIndex((s) => !s.done && holds(actor, ...s.who));
  return (
    <Card title="No joint is set up yet. Before the first inspection" className="page">
      <Steps
        orientation="vertical"
        items={steps.map((s, i) => ({
          title: <b>{s.words}</b>,
          status: s.done ? "finish" : i === next ? "process" : "wait",
          content: (
            <Flex justify="space-between" align="center" gap={12}>
              <span>{s.why}</span>
              {!s.done &&
                (holds(actor, ...s.who) ? (
                  <Link to={s.to}>
                    <Button type={i === next ? "primary" : "default"} tabIndex={-1}>
                      {i === next ? "Do it now" : "Open"}
                    </Button>
                  </Link>
                ) : (
                  <span className="small quiet">for the quality manager</span>
                ))}
            </Flex>
          ),
        }))}
      />
    </Card>
  );
}
