import { Checkbox } from "antd";
import { Field } from "../lib/fields";
import { roleWords, type Role } from "../lib/roles";

type Props = { value: Role[]; onChange: (roles: Role[]) => void; problem?: string; without?: Role };

/** What a person may do: several roles in a small shop. A viewer reads signed records, and holds no other role. */
export function RolesField({ value, onChange, problem, without }: Props) {
  const options = (Object.keys(roleWords) as Role[])
    .filter((r) => r !== without && !(without && r === "VIEWER"))
    .map((r) => ({ value: r, label: roleWords[r] }));
  const choose = (next: Role[]) => {
    const viewer = next.includes("VIEWER") && !value.includes("VIEWER");
    onChange(viewer ? ["VIEWER"] : next.filter((r) => r !== "VIEWER" || next.length === 1));
  };
  return (
    <Field id="roles" label={without ? "You are also" : "Roles"} problem={problem}>
      <div role="group" aria-label={without ? "You are also" : "Roles"}>
        <Checkbox.Group<Role> options={options} value={value} onChange={choose} />
      </div>
    </Field>
  );
}
