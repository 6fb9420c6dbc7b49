import { App, Modal } from "antd";
import { useState } from "react";
import { api, problemsByField, saidBy } from "../lib/api";
import { TextField } from "../lib/fields";
import { FormGrid } from "../lib/FormGrid";

/** One's own password: the one that holds now, and the next. */
export default function OwnPassword({ onClose }: { onClose: () => void }) {
  const [now, setNow] = useState("");
  const [next, setNext] = useState("");
  const [fault, setFault] = useState<unknown>();
  const { message } = App.useApp();
  const change = async () => {
    try {
      await api.changePassword({ now, next });
      void message.success("Your password is changed; other devices are signed out");
      onClose();
    } catch (x) {
      setFault(x);
    }
  };
  const problems = problemsByField(fault);
  return (
    <Modal
      open
      title="Change your password"
      okText="Change it"
      cancelText="Leave it"
      okButtonProps={{ disabled: now === "" || next === "", htmlType: "submit", form: "own-password" }}
      onCancel={onClose}
    >
      <form
        id="own-password"
        onSubmit={(e) => {
          e.preventDefault();
          void change();
        }}
      >
        <FormGrid>
          <TextField
            id="own-now"
            label="Password now"
            type="password"
            span={12}
            value={now}
            problem={problems.now}
            onChange={setNow}
          />
          <TextField
            id="own-next"
            label="Next password, 10 characters or more"
            type="password"
            span={12}
            value={next}
            problem={problems.password}
            onChange={setNext}
          />
        </FormGrid>
      </form>
      {fault !== undefined && !problems.now && !problems.password && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
    </Modal>
  );
}
