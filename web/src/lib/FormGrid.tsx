import { Col, Row } from "antd";
import type { ComponentProps, ReactNode } from "react";

/** The fields of a form, in twelfths of its width; on a phone each has the whole of it. */
export function FormGrid({ className = "", ...props }: Omit<ComponentProps<typeof Row>, "gutter">) {
  return <Row gutter={[12, 10]} className={`form-grid ${className}`} {...props} />;
}

/** A part of a form: {@code span} twelfths wide; at the {@code bottom} it stands beside the controls, not beside their labels. */
export function Cell({ span = 12, bottom, children }: { span?: number; bottom?: boolean; children?: ReactNode }) {
  return (
    <Col xs={24} md={2 * span} className={bottom ? "at-bottom" : undefined}>
      {children}
    </Col>
  );
}
