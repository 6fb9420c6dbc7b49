import { DeleteOutlined } from "@ant-design/icons";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Alert, Button, Checkbox, Flex, Modal, Popconfirm, Typography } from "antd";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy } from "../lib/api";
import { Field, TextField } from "../lib/fields";
import { dayOf } from "../lib/local-time";
import { useActor } from "../lib/session";
import { SmallTable } from "../lib/SmallTable";
import { Cell, FormGrid } from "../lib/FormGrid";

const scopes = [
  { value: "READ", label: "read welds, records, reports and rates" },
  { value: "JUDGE", label: "have inspection files judged" },
  { value: "IMPORT", label: "bring in weld lists and procedures" },
] as const;
type Token = Awaited<ReturnType<typeof api.tokens>>[number];
type Scope = (typeof scopes)[number]["value"];

/** Tokens for one's scripts; one that was made is shown this once. */
export default function Tokens({ onClose }: { onClose: () => void }) {
  const actor = useActor();
  const queries = useQueryClient();
  const tokens = useQuery({ queryKey: ["tokens"], queryFn: api.tokens, gcTime: 0 });
  const [made, setMade] = useState("");
  const fresh = () => queries.invalidateQueries({ queryKey: ["tokens"] });
  return (
    <Modal open title="Tokens for scripts" width={760} footer={null} onCancel={onClose}>
      <Flex vertical gap={14}>
        <span className="small">
          A script shows a token in place of a sign-in. It acts as {actor.name}, does what is ticked and no more, and
          ends with its day. Whoever has the token can do the same: keep it like a password.
        </span>
        {made && (
          <Alert
            type="success"
            showIcon
            title="Copy it now; it is not shown again"
            description={<Typography.Text copyable>{made}</Typography.Text>}
          />
        )}
        <NewToken
          onMade={(token) => {
            setMade(token);
            void fresh();
          }}
        />
        {tokens.isError && <Alert type="error" showIcon title={saidBy(tokens.error)} />}
        {(tokens.data?.length ?? 0) > 0 && (
          <SmallTable<Token>
            label="Tokens"
            rows={tokens.data ?? []}
            rowKey={(t) => t.id}
            columns={[
              ["For", (t) => <b>{t.name}</b>],
              ["Of", (t) => t.person],
              ["May", (t) => t.scopes.map((s) => s.toLowerCase()).join(", ")],
              ["Last used", (t) => (t.lastUsed ? dayOf(t.lastUsed) : "never")],
              ["Holds until", (t) => stands(t)],
              ["", (t) => t.holds && <Revoke token={t} onDone={fresh} />],
            ]}
          />
        )}
      </Flex>
    </Modal>
  );
}

function stands(t: Token) {
  if (t.revokedAt) return <span className="quiet">revoked {dayOf(t.revokedAt)}</span>;
  return t.holds ? dayOf(t.endsOn) : <span className="quiet">over since {dayOf(t.endsOn)}</span>;
}

function Revoke({ token, onDone }: { token: Token; onDone: () => Promise<unknown> }) {
  return (
    <Popconfirm
      title={`Revoke “${token.name}”? Its script stops at once.`}
      okText="Revoke it"
      cancelText="Leave it"
      onConfirm={() => void api.revokeToken(token.id).then(onDone)}
    >
      <Button icon={<DeleteOutlined />} aria-label={`Revoke ${token.name}`} />
    </Popconfirm>
  );
}

function NewToken({ onMade }: { onMade: (token: string) => void }) {
  const [name, setName] = useState("");
  const [days, setDays] = useState("90");
  const [may, setMay] = useState<Scope[]>(["READ"]);
  const [fault, setFault] = useState<unknown>();
  const problems = problemsByField(fault);
  const make = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const { token } = await api.makeToken({ name, scopes: may, days: Number(days) });
      setFault(undefined);
      setName("");
      onMade(token);
    } catch (x) {
      setFault(x);
    }
  };
  return (
    <form aria-label="A new token" onSubmit={(e) => void make(e)} noValidate>
      <FormGrid>
        <TextField
          id="token-name"
          label="What it is for"
          required
          span={6}
          value={name}
          problem={problems.name}
          onChange={setName}
        />
        <TextField
          id="token-days"
          label="Holds for, days"
          required
          span={3}
          value={days}
          problem={problems.days}
          onChange={setDays}
        />
        <Cell span={3} bottom>
          <Button type="primary" htmlType="submit" block>
            Make it
          </Button>
        </Cell>
        <Field id="token-scopes" label="What it may do" required problem={problems.scopes}>
          <Checkbox.Group value={may} onChange={setMay}>
            <Flex vertical gap={6}>
              {scopes.map((s) => (
                <Checkbox key={s.value} value={s.value}>
                  {s.label}
                </Checkbox>
              ))}
            </Flex>
          </Checkbox.Group>
        </Field>
        {fault !== undefined && Object.keys(problems).length === 0 && (
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
