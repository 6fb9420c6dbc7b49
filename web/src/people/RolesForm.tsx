import { Button } from "antd";
import { useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type WithPapers } from "../lib/api";
import { RolesField } from "./RolesField";

/** What a person may do from now on; it works at once, also where they are signed in. */
export function RolesForm({ of }: { of: WithPapers }) {
  const [roles, setRoles] = useState(of.person.roles);
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const store = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await api.changeRoles(of.person.id, { roles, version: of.papers.version });
      setFault(undefined);
      await queries.invalidateQueries({
        predicate: (q) => ["people", "papers", "session"].includes(String(q.queryKey[0])),
      });
    } catch (x) {
      setFault(x);
    }
  };
  return (
    <form className="card side grid" aria-label={`Roles of ${of.person.name}`} onSubmit={(e) => void store(e)}>
      <h2 style={{ gridColumn: "span 12", fontSize: 18 }}>Roles of {of.person.name}</h2>
      <RolesField value={roles} onChange={setRoles} problem={problemsByField(fault).roles} />
      {fault !== undefined && !problemsByField(fault).roles && (
        <p role="alert" className="fault" style={{ gridColumn: "span 12" }}>
          {saidBy(fault)}
        </p>
      )}
      <Button type="primary" htmlType="submit" style={{ gridColumn: "span 12" }}>
        Store the roles
      </Button>
    </form>
  );
}
