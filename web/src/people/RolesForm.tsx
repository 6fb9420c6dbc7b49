import { Button } from "antd";
import { useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type WithPapers } from "../lib/api";
import { RolesField } from "./RolesField";
import { Cell, FormGrid } from "../lib/FormGrid";

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
    <form className="card side" aria-label={`Roles of ${of.person.name}`} onSubmit={(e) => void store(e)}>
      <FormGrid>
        <Cell span={12}>
          <h2>Roles of {of.person.name}</h2>
        </Cell>
        <RolesField value={roles} onChange={setRoles} problem={problemsByField(fault).roles} />
        {fault !== undefined && !problemsByField(fault).roles && (
          <Cell span={12}>
            <p role="alert" className="fault">
              {saidBy(fault)}
            </p>
          </Cell>
        )}
        <Cell span={12}>
          <Button type="primary" htmlType="submit">
            Store the roles
          </Button>
        </Cell>
      </FormGrid>
    </form>
  );
}
