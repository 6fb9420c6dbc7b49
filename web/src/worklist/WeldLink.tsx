import { Result, Skeleton } from "antd";
import { useQuery } from "@tanstack/react-query";
import { Link, Navigate, useParams } from "react-router";
import { api, saidBy } from "../lib/api";

/** Where the code on a weld's label leads: to its newest inspection. */
export default function WeldLink() {
  const { id = "" } = useParams();
  const weld = useQuery({ queryKey: ["weld-link", id], queryFn: () => api.weldLink(id), staleTime: 0, retry: false });
  if (weld.data) return <Navigate to={`/inspections/${weld.data.inspectionId}`} replace />;
  if (weld.isError)
    return <Result status="warning" title={saidBy(weld.error)} extra={<Link to="/worklist">To the worklist</Link>} />;
  return <Skeleton className="page" active />;
}
