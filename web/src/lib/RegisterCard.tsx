import { ConfigProvider } from "antd";
import type { ReactNode } from "react";
import { FormFoot } from "./FormFoot";
import { FormGrid } from "./FormGrid";

/** One thing of a register, to be read or changed: its fields, and what else is known of it below. */
export function RegisterCard({
  label,
  title,
  mayChange,
  fault,
  word,
  onStore,
  fields,
  children,
}: {
  label: string;
  title: ReactNode;
  mayChange: boolean;
  fault: unknown;
  /** What the button that stores it says. */
  word: string;
  onStore: () => Promise<void>;
  fields: ReactNode;
  children?: ReactNode;
}) {
  return (
    <section className="card panel" aria-label={label}>
      <header>
        <h2>{title}</h2>
      </header>
      <div className="body">
        <form
          onSubmit={(e) => {
            e.preventDefault();
            void onStore();
          }}
        >
          <ConfigProvider componentDisabled={!mayChange}>
            <FormGrid>{fields}</FormGrid>
            <FormFoot fault={fault} word={mayChange ? word : undefined} />
          </ConfigProvider>
        </form>
        {children}
      </div>
    </section>
  );
}
