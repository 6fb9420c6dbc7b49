import { Button, Checkbox, Collapse } from "antd";
import type { ContractTerms } from "../lib/api";
import { ChoiceField, Field, TextField } from "../lib/fields";
import { Cell, FormGrid } from "../lib/FormGrid";

/** The contract's limits that can be set, in the trade's words; those without a most are said by their presence. */
const kinds = [
  ["undercut.depth", "undercut, deepest", true],
  ["undercut.exception-off", "undercut: no accumulated exception", false],
  ["porosity.diameter", "pore, largest diameter", true],
  ["porosity.none", "no pores", false],
  ["reinforcement.max", "reinforcement, most", true],
  ["convexity.max", "convexity, most", true],
  ["bead-width.max", "bead width, most", true],
  ["size.underrun", "size, furthest under", true],
  ["melt-through.max", "melt-through, most", true],
  ["root-concavity.max", "root concavity, most", true],
  ["arc-strike.none", "no arc strikes", false],
  ["spatter.none", "no spatter", false],
] as const;

const holds = [
  ["replace", "a weld is replaced"],
  ["cutting-apart", "a member is cut apart"],
] as const;

/** What a repair plan rests on, with what is usual. */
const constants = [
  ["includedDegrees", "Included angle, °", "60"],
  ["rootRadius", "Root radius, mm", "6.35"],
  ["runOut", "Ends run out, 1 in", "3"],
  ["beyondCrack", "Beyond a crack, mm", "50.8"],
  ["runIn", "Beyond another, mm", "12.7"],
  ["gougeFrom", "Gouge from, mm³", "8000"],
  ["runLength", "Bead of one rod, mm", "203.2"],
  ["burnSeconds", "A rod burns, s", "65"],
  ["density", "Steel, g/cm³", "7.85"],
  ["operatingFactor", "Arc time in the work", "0.25"],
] as const;

function withConstant(all: Record<string, number> | undefined, id: string, typed: string) {
  const rest = Object.fromEntries(Object.entries(all ?? {}).filter(([k]) => k !== id));
  return typed.trim() === "" ? rest : { ...rest, [id]: Number(typed.replace(",", ".")) };
}

type Props = {
  terms: ContractTerms;
  units: string;
  problems: Record<string, string>;
  onChange: (t: ContractTerms) => void;
};

/** What the contract says beside the code: it can only tighten, and each line says where it stands. */
export function Terms({ terms, units, problems, onChange }: Props) {
  const limits = terms.limits ?? [];
  const set = (change: Partial<ContractTerms>) => onChange({ ...terms, ...change });
  const setLimit = (n: number, change: object) =>
    set({ limits: limits.map((l, i) => (i === n ? { ...l, ...change } : l)) });
  return (
    <section aria-label="The contract’s own limits">
      <h3>The contract’s own limits and choices</h3>
      {limits.map((l, i) => {
        const kind = kinds.find((k) => k[0] === l.id);
        return (
          <FormGrid key={i}>
            <ChoiceField
              id={`lid${i}`}
              label="Limit"
              span={4}
              value={l.id}
              problem={problems[`terms.limits[${i}].id`]}
              options={kinds.map((k) => [k[0], k[1]] as const)}
              onChange={(v) => setLimit(i, { id: v, max: kinds.find((k) => k[0] === v)?.[2] ? l.max : undefined })}
            />
            {kind?.[2] ? (
              <TextField
                id={`lmax${i}`}
                label={`At most, ${units}`}
                span={2}
                value={l.max}
                problem={problems[`terms.limits[${i}].max`]}
                onChange={(v) => setLimit(i, { max: v })}
              />
            ) : (
              <Cell span={2} />
            )}
            <TextField
              id={`lnote${i}`}
              label="Where it stands"
              span={4}
              value={l.note}
              placeholder="client specification, clause"
              problem={problems[`terms.limits[${i}].note`]}
              onChange={(v) => setLimit(i, { note: v })}
            />
            <Cell span={2} bottom>
              <Button type="link" onClick={() => set({ limits: limits.filter((_, n) => n !== i) })}>
                take off
              </Button>
            </Cell>
          </FormGrid>
        );
      })}
      <Button type="link" onClick={() => set({ limits: [...limits, { id: "undercut.depth" }] })}>
        add a limit
      </Button>
      <FormGrid>
        <ChoiceField
          id="undercutChoice"
          label="Undercut of both toes"
          span={4}
          value={terms.undercut ?? "sum"}
          options={[
            ["sum", "adds up in one window"],
            ["per-toe", "each toe by itself"],
          ]}
          onChange={(v) => set({ undercut: v === "sum" ? undefined : v })}
        />
        {terms.undercut === "per-toe" && (
          <TextField
            id="undercutNote"
            label="Where that is agreed"
            span={6}
            value={terms.undercutNote}
            placeholder="inspection plan"
            problem={problems["terms.undercutNote"]}
            onChange={(v) => set({ undercutNote: v })}
          />
        )}
      </FormGrid>
      <FormGrid>
        <ChoiceField
          id="underrunChoice"
          label="Size 1/16 under for 10 %"
          span={4}
          value={terms.underrun ?? "continuous"}
          options={[
            ["continuous", "of continuous fillets"],
            ["also-intermittent", "of intermittent ones too"],
          ]}
          onChange={(v) => set({ underrun: v === "continuous" ? undefined : v })}
        />
        {terms.underrun === "also-intermittent" && (
          <TextField
            id="underrunNote"
            label="Where that is agreed"
            span={6}
            value={terms.underrunNote}
            placeholder="inspection plan"
            problem={problems["terms.underrunNote"]}
            onChange={(v) => set({ underrunNote: v })}
          />
        )}
      </FormGrid>
      <FormGrid>
        <ChoiceField
          id="guarded"
          label="Acceptance"
          span={4}
          value={terms.guarded ? "yes" : ""}
          options={[
            ["", "a reading at its limit accepts"],
            ["yes", "guarded (JCGM 106)"],
          ]}
          onChange={(v) => set({ guarded: v === "yes" ? true : undefined })}
        />
        {terms.guarded && (
          <>
            <TextField
              id="guardFactor"
              label="Band, uncertainties"
              span={2}
              value={terms.guardFactor === undefined ? "" : String(terms.guardFactor)}
              placeholder="2"
              problem={problems["terms.guardFactor"]}
              onChange={(v) => set({ guardFactor: v === "" ? undefined : Number(v) || 0 })}
            />
            <TextField
              id="guardNote"
              label="Where it stands"
              span={4}
              value={terms.guardNote}
              problem={problems["terms.guardNote"]}
              onChange={(v) => set({ guardNote: v })}
            />
          </>
        )}
      </FormGrid>
      <FormGrid>
        <ChoiceField
          id="repairCycles"
          label="Repairs of one place"
          span={4}
          value={String(terms.repairCycles ?? "")}
          problem={problems["terms.repairCycles"]}
          options={[
            ["", "two, then the Engineer"],
            ["1", "one, then the Engineer"],
            ["3", "three, then the Engineer"],
          ]}
          onChange={(v) => set({ repairCycles: v === "" ? undefined : Number(v) })}
        />
        <Field id="repairHolds" label="Waits for the Engineer too" span={4}>
          <Checkbox.Group
            options={holds.map(([value, label]) => ({ value, label }))}
            value={terms.repairHolds ?? []}
            onChange={(on) => set({ repairHolds: on })}
          />
        </Field>
        {(terms.repairCycles !== undefined || (terms.repairHolds?.length ?? 0) > 0) && (
          <TextField
            id="repairNote"
            label="Where it stands"
            span={4}
            value={terms.repairNote}
            problem={problems["terms.repairNote"]}
            onChange={(v) => set({ repairNote: v })}
          />
        )}
      </FormGrid>
      <Collapse
        ghost
        items={[
          {
            key: "constants",
            label: "What repairs are reckoned with",
            children: (
              <FormGrid>
                {constants.map(([id, word, usual]) => (
                  <TextField
                    key={id}
                    id={`rc-${id}`}
                    label={word}
                    span={3}
                    placeholder={usual}
                    value={terms.repairConstants?.[id] === undefined ? "" : String(terms.repairConstants[id])}
                    problem={problems[`terms.repairConstants.${id}`]}
                    onChange={(v) => set({ repairConstants: withConstant(terms.repairConstants, id, v) })}
                  />
                ))}
              </FormGrid>
            ),
          },
        ]}
      />
      {problems["terms.limits"] && <p className="fault">{problems["terms.limits"]}</p>}
      <p className="cautions spaced">
        A contract can only tighten. What the Engineer allows beyond the code is a deviation of one weld, recorded at
        its bench with his document.
      </p>
    </section>
  );
}
