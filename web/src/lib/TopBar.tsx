import { useQueryClient } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link, useNavigate } from "react-router";
import { api } from "./api";
import { changeSession, useActor } from "./session";
import { Wordmark } from "./Wordmark";

export const roleWords: Record<string, string> = {
  INSPECTOR: "inspector",
  WELDING_ENGINEER: "welding engineer",
  REPAIR_LEAD: "repair lead",
  QUALITY_MANAGER: "quality manager",
  VIEWER: "viewer",
};

export function TopBar({ children }: { children?: ReactNode }) {
  const actor = useActor();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const leave = async () => {
    const session = await api.signOut();
    navigate("/");
    changeSession(queries, session);
  };
  return (
    <header className="top">
      <Link to="/" className="word" aria-label="Mensor, to the worklist">
        <Wordmark />
        Mensor
      </Link>
      <div className="where">{children}</div>
      {actor.role === "QUALITY_MANAGER" && <Link to="/people">People</Link>}
      <div className="who">
        <b>{actor.name}</b>
        {roleWords[actor.role]}
      </div>
      <button type="button" className="plain" onClick={() => void leave()}>
        Sign out
      </button>
    </header>
  );
}
