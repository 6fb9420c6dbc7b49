import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../lib/api";
import { TopBar } from "../lib/TopBar";
import { useSettled } from "../lib/useSettled";
import { Changes, step } from "./Changes";

/** Every change of what the shop keeps beside its welds: jobs, procedures, criteria, gauges, people, welders. */
export default function ShopHistory() {
  const [what, setWhat] = useState("");
  const [find, setFind] = useState("");
  const [most, setMost] = useState(step);
  const wanted = { what, find: useSettled(find), most };
  const history = useQuery({
    queryKey: ["shop-history", wanted],
    queryFn: ({ signal }) => api.shopHistory(wanted, signal),
    placeholderData: keepPreviousData,
  });
  return (
    <div className="app">
      <TopBar rooms />
      <Changes
        changes={history.data?.changes ?? []}
        fitting={history.data?.fitting ?? 0}
        kinds={history.data?.kinds ?? {}}
        what={what}
        onWhat={setWhat}
        find={find}
        onFind={setFind}
        onMore={() => setMost(most + step)}
        pending={history.isPending}
        fault={history.error}
      />
    </div>
  );
}
