import { DeleteOutlined } from "@ant-design/icons";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Alert, Button, Flex, Modal, Popconfirm, Typography } from "antd";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy } from "../lib/api";
import { TextField } from "../lib/fields";
import { Cell, FormGrid } from "../lib/FormGrid";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { SmallTable } from "../lib/SmallTable";

type Installation = Awaited<ReturnType<typeof api.installations>>["trusted"][number];

/** This installation's fingerprint, to be read out; and those whose signatures the quality manager takes as verified. */
export function Installations({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const all = useQuery({ queryKey: ["installations"], queryFn: api.installations });
  const mayTrust = holds(useActor(), "QUALITY_MANAGER");
  const fresh = () => queries.invalidateQueries();
  return (
    <Modal open title="Other installations" width={720} footer={null} onCancel={onClose}>
      <Flex vertical gap={14}>
        <span>
          Records that come in an archive are marked as signed elsewhere. They are <b>verified</b> where the quality
          manager trusts the key that sealed them. They are never accepts of this shop.
        </span>
        {all.isError && <Alert type="error" showIcon title={saidBy(all.error)} />}
        {all.data && (
          <div>
            This installation:{" "}
            <Typography.Text strong copyable>
              {all.data.own}
            </Typography.Text>
            <br />
            Its journal of seals is at <Typography.Text strong>{all.data.journal}</Typography.Text>: lines and sum, also
            printed on every report.
          </div>
        )}
        {all.data?.journalFault && (
          <Alert
            type="error"
            showIcon
            title={`At its last start: ${all.data.journalFault}. Compare with a report or a mail, and put the journal back from a copy.`}
          />
        )}
        {all.data?.clockFault && <ClockIsRight fault={all.data.clockFault} may={mayTrust} onDone={fresh} />}
        {all.data && all.data.trusted.length > 0 && (
          <SmallTable<Installation>
            label="Trusted installations"
            rows={all.data.trusted}
            rowKey={(i) => i.id}
            columns={[
              ["Installation", (i) => <b>{i.name}</b>],
              ["Fingerprint of its key", (i) => i.fingerprint],
              ["", (i) => mayTrust && <Distrust installation={i} onDone={fresh} />],
            ]}
          />
        )}
        {mayTrust && <Trust onDone={fresh} />}
      </Flex>
    </Modal>
  );
}

function Distrust({ installation, onDone }: { installation: Installation; onDone: () => Promise<unknown> }) {
  return (
    <Popconfirm
      title={`Trust “${installation.name}” no longer? What it signed is then shown as not verified.`}
      okText="No longer"
      cancelText="Leave it"
      onConfirm={() => void api.distrust(installation.id).then(onDone)}
    >
      <Button icon={<DeleteOutlined />} aria-label={`Trust ${installation.name} no longer`} />
    </Popconfirm>
  );
}

/** Nothing is signed by a clock that is before the last signature, until somebody answers for it. */
function ClockIsRight({ fault, may, onDone }: { fault: string; may: boolean; onDone: () => Promise<unknown> }) {
  const [reason, setReason] = useState("");
  const [refused, setRefused] = useState<unknown>();
  const confirm = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await api.confirmClock(reason);
      await onDone();
    } catch (x) {
      setRefused(x);
    }
  };
  return (
    <>
      <Alert type="error" showIcon title={`Nothing can be signed: ${fault}.`} />
      {may && (
        <form aria-label="Confirm the clock" onSubmit={(e) => void confirm(e)} noValidate>
          <FormGrid>
            <TextField
              id="clock-reason"
              label="What was wrong with the clock at the last signature"
              required
              span={8}
              value={reason}
              problem={problemsByField(refused).reason ?? (refused ? saidBy(refused) : undefined)}
              onChange={setReason}
            />
            <Cell span={4} bottom>
              <Button htmlType="submit" block>
                The clock is right now
              </Button>
            </Cell>
          </FormGrid>
        </form>
      )}
    </>
  );
}

function Trust({ onDone }: { onDone: () => Promise<unknown> }) {
  const [fingerprint, setFingerprint] = useState("");
  const [name, setName] = useState("");
  const [fault, setFault] = useState<unknown>();
  const problems = problemsByField(fault);
  const trust = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await api.trust({ fingerprint, name });
      setFault(undefined);
      setFingerprint("");
      setName("");
      await onDone();
    } catch (x) {
      setFault(x);
    }
  };
  return (
    <form aria-label="Trust an installation" onSubmit={(e) => void trust(e)} noValidate>
      <FormGrid>
        <TextField
          id="installation-fingerprint"
          label="Fingerprint, as its quality manager reads it out"
          required
          span={12}
          value={fingerprint}
          problem={problems.fingerprint}
          onChange={setFingerprint}
        />
        <TextField
          id="installation-name"
          label="What it is called"
          required
          span={8}
          value={name}
          problem={problems.name}
          onChange={setName}
        />
        <Cell span={4} bottom>
          <Button type="primary" htmlType="submit" block>
            Trust it
          </Button>
        </Cell>
        {fault !== undefined && Object.keys(problems).length === 0 && (
          <Cell span={12}>
            <Alert type="error" showIcon title={saidBy(fault)} />
          </Cell>
        )}
      </FormGrid>
    </form>
  );
}
