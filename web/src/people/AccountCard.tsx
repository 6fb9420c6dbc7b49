import { App, Button, Popconfirm } from "antd";
import { useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type WithPapers } from "../lib/api";
import { TextField } from "../lib/fields";
import { Cell, FormGrid } from "../lib/FormGrid";

/** Whether and how a person signs in; everything works at once, also where they are signed in now. */
export function AccountCard({ of }: { of: WithPapers }) {
  const [password, setPassword] = useState("");
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const { message } = App.useApp();
  const { id, name } = of.person;
  const act = async (what: () => Promise<unknown>, done: string) => {
    try {
      await what();
      setFault(undefined);
      setPassword("");
      void message.success(done);
      await queries.invalidateQueries({
        predicate: (q) => ["people", "papers", "session"].includes(String(q.queryKey[0])),
      });
    } catch (x) {
      setFault(x);
    }
  };
  const reset = (e: FormEvent) => {
    e.preventDefault();
    void act(() => api.resetPassword(id, password), `${name} has the new password, and is signed out everywhere`);
  };
  const setActive = (active: boolean) =>
    act(
      () => api.setActive(id, { active, version: of.papers.version }),
      active ? `${name} may sign in again` : `${name} has left; what ${name} recorded and signed stays`,
    );
  const problem = problemsByField(fault).password;
  return (
    <form className="card side" aria-label={`Sign-in of ${name}`} onSubmit={reset}>
      <FormGrid>
        <Cell span={12}>
          <h2>Sign-in of {name}</h2>
        </Cell>
        {of.active && (
          <>
            <TextField
              id="reset"
              label="New password, 10 characters or more"
              type="password"
              span={12}
              value={password}
              problem={problem}
              onChange={setPassword}
            />
            <Cell span={12}>
              <Button htmlType="submit" disabled={password === ""}>
                Give the new password
              </Button>
            </Cell>
            <Cell span={6}>
              <Button onClick={() => void act(() => api.unlock(id), `${name} may try again at once`)}>
                Let try again
              </Button>
            </Cell>
            <Cell span={6}>
              <Button onClick={() => void act(() => api.endSessions(id), `${name} is signed out everywhere`)}>
                Sign out everywhere
              </Button>
            </Cell>
          </>
        )}
        {of.active ? (
          <Cell span={12}>
            <Popconfirm
              title={`${name} leaves?`}
              description="Signs in no more; what was recorded and signed stays. Open inspections are handed over."
              okText="Leaves"
              cancelText="Stays"
              onConfirm={() => void setActive(false)}
            >
              <Button danger>Leaves …</Button>
            </Popconfirm>
          </Cell>
        ) : (
          <Cell span={12}>
            <Button type="primary" onClick={() => void setActive(true)}>
              Comes back
            </Button>
          </Cell>
        )}
        {fault !== undefined && !problem && (
          <Cell span={12}>
            <p role="alert" className="fault">
              {saidBy(fault)}
            </p>
          </Cell>
        )}
      </FormGrid>
    </form>
  );
}
