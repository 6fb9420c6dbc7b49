import { CompassOutlined, QuestionCircleOutlined } from "@ant-design/icons";
import { Button, Drawer, Skeleton } from "antd";
import { lazy, Suspense, useEffect, useState } from "react";
import { useLocation, useNavigate } from "react-router";
import { sectionFor } from "./sections";

const Handbook = lazy(() => import("./Handbook"));

/** The handbook, opened at the place where one is: by the button, F1, or ? outside a field. */
export function HelpButton() {
  const [open, setOpen] = useState(false);
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const atBench = /^\/inspections\/[^/]+$/.test(pathname);
  const tour = () => {
    setOpen(false);
    void navigate(`${pathname}?tour`, { replace: true });
  };
  useEffect(() => {
    const pressed = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLElement && e.target.closest("input, textarea, [contenteditable]") !== null;
      if (e.key !== "F1" && (e.key !== "?" || typing)) return;
      e.preventDefault();
      setOpen(true);
    };
    window.addEventListener("keydown", pressed);
    return () => window.removeEventListener("keydown", pressed);
  }, []);
  return (
    <>
      <Button
        ghost
        icon={<QuestionCircleOutlined />}
        aria-label="Help"
        title="Help (F1)"
        onClick={() => setOpen(true)}
      />
      <Drawer title="Handbook" size={560} open={open} onClose={() => setOpen(false)}>
        {atBench && (
          <Button icon={<CompassOutlined />} onClick={tour} className="spaced">
            Take the tour of the bench
          </Button>
        )}
        {open && (
          <Suspense fallback={<Skeleton active />}>
            <Handbook at={sectionFor(pathname)} />
          </Suspense>
        )}
      </Drawer>
    </>
  );
}
