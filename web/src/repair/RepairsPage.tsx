import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api, saidBy } from "../lib/api";
import { TopBar } from "../lib/TopBar";
import { day } from "./DefectCard";
import { HoldMark } from "./HoldMark";

/** The shop's repairs: what waits for the Engineer, and every rejected place that is not closed. */
export default function RepairsPage() {
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const job = params.get("job") ?? "";
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs, staleTime: 30_000 });
  const page = useQuery({
    queryKey: ["repairs", job],
    queryFn: () => api.repairs(job),
    placeholderData: keepPreviousData,
    refetchInterval: 10_000,
  });
  const p = page.data;
  return (
    <div className="app">
      <TopBar rooms />
      <main className="list">
        <div className="tools">
          <select
            className="text"
            style={{ width: 240 }}
            aria-label="Show the job"
            value={job}
            onChange={(e) => setParams(e.target.value ? { job: e.target.value } : {}, { replace: true })}
          >
            <option value="">all jobs: what is not closed</option>
            {jobs.data?.map((j) => (
              <option key={j.id} value={j.id}>
                {j.form.name}, closed ones too
              </option>
            ))}
          </select>
        </div>
        {page.isError && <p className="fault">{saidBy(page.error)}</p>}
        {p && (
          <div className="card rows repairlist">
            <h2>Waits for the Engineer ({p.waiting.length})</h2>
            {p.waiting.length === 0 ? (
              <p className="quiet none">Nothing waits.</p>
            ) : (
              <table>
                <thead>
                  <tr>
                    <th>No.</th>
                    <th>Weld</th>
                    <th>What was rejected</th>
                    <th>Waits for</th>
                    <th>Since</th>
                  </tr>
                </thead>
                <tbody>
                  {p.waiting.map((w) => (
                    <tr key={w.defect + w.kind} onClick={() => navigate(`/defects/${w.defect}`)}>
                      <td>
                        <Link className="big" to={`/defects/${w.defect}`} onClick={(e) => e.stopPropagation()}>
                          {w.number}
                        </Link>
                      </td>
                      <td>
                        {w.mark}
                        <div className="small quiet">{w.job}</div>
                      </td>
                      <td>{w.words}</td>
                      <td>
                        <HoldMark /> {w.hold}
                      </td>
                      <td>{day(w.since)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            <h2>Rejected places ({p.defects.length})</h2>
            {p.defects.length === 0 ? (
              <p className="quiet none">Nothing is rejected that is not closed.</p>
            ) : (
              <table>
                <thead>
                  <tr>
                    <th>No.</th>
                    <th>Weld</th>
                    <th>What was rejected</th>
                    <th>Decided</th>
                    <th>State</th>
                    <th>Since</th>
                  </tr>
                </thead>
                <tbody>
                  {p.defects.map((d) => (
                    <tr key={d.id} data-state={d.state} onClick={() => navigate(`/defects/${d.id}`)}>
                      <td>
                        <Link className="big" to={`/defects/${d.id}`} onClick={(e) => e.stopPropagation()}>
                          {d.number}
                        </Link>
                      </td>
                      <td>
                        {d.mark}
                        <div className="small quiet">
                          {d.job} · {d.lot}
                        </div>
                      </td>
                      <td>
                        {d.words}
                        {d.cycle > 1 && <span className="hint"> · repair {d.cycle} of this place</span>}
                      </td>
                      <td>{d.disposition ?? <span className="quiet">not yet</span>}</td>
                      <td>
                        {d.onHold && (
                          <>
                            <HoldMark /> on hold,{" "}
                          </>
                        )}
                        {d.onHold ? d.stateTitle.toLowerCase() : d.stateTitle}
                      </td>
                      <td>{day(d.raisedAt)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </div>
        )}
      </main>
    </div>
  );
}
