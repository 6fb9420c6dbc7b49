import { App, Button } from "antd";
import { useEffect } from "react";
import { useRegisterSW } from "virtual:pwa-register/react";

/** A newer version of the app is offered, never forced: whoever is in the middle of a weld goes on with this one. */
export function NewVersion() {
  const { notification } = App.useApp();
  const {
    needRefresh: [isNew],
    updateServiceWorker,
  } = useRegisterSW();
  useEffect(() => {
    if (!isNew) return;
    notification.info({
      key: "new-version",
      title: "A new version of Mensor is ready",
      description: "Load it when it suits you; what waits to be sent is kept.",
      duration: 0,
      actions: (
        <Button type="primary" onClick={() => void updateServiceWorker(true)}>
          Load it
        </Button>
      ),
    });
  }, [isNew, notification, updateServiceWorker]);
  return null;
}
