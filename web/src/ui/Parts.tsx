import { Component, Suspense, type ReactNode } from "react";
import { Button } from "./Button";
import { Failed, Notice } from "./Notice";

/** Where parts stand that are read when they are shown; says so when one does not come. */
export class Parts extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override render() {
    return this.state.failed ? (
      <Notice role="alert">
        <Failed>This part of Yewberry could not be shown.</Failed>
        What was changed is stored. See whether Yewberry is still running, then load the page again.
        <Button onPress={() => window.location.reload()}>Load again</Button>
      </Notice>
    ) : (
      <Suspense fallback={null}>{this.props.children}</Suspense>
    );
  }
}
