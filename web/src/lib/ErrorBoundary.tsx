import { Button, Result } from "antd";
import { Component, type ReactNode } from "react";

type State = { fault?: Error };

/** Shows a fault of what is in it, with a way to try again; nothing that was recorded is touched by it. */
export class ErrorBoundary extends Component<{ children: ReactNode }, State> {
  override state: State = {};

  static getDerivedStateFromError(fault: Error): State {
    return { fault };
  }

  override render() {
    if (!this.state.fault) return this.props.children;
    return (
      <Result
        status="error"
        title="This page could not be shown"
        subTitle={`What you recorded is kept. ${this.state.fault.message}`}
        extra={[
          <Button key="again" type="primary" onClick={() => this.setState({ fault: undefined })}>
            Try again
          </Button>,
          <Button key="home" href="/">
            To the beginning
          </Button>,
        ]}
      />
    );
  }
}
