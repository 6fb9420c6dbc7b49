import { useQueryClient } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link, NavLink, useNavigate } from "react-router";
import { api } from "./api";
import { changeSession, useActor } from "./session";
import { NetworkMark } from "./NetworkMark";
import { ThemeSwitch } from "./ThemeSwitch";
import { Wordmark } from "./Wordmark";

export const roleWords: Record<string, string> = {
  INSPECTOR: "inspector",
  WELDING_ENGINEER: "welding engineer",
  REPAIR_LEAD: "repair lead",
  QUALITY_MANAGER: "quality manager",
  VIEWER: "viewer",
};

/** The bar of a screen; {@code rooms} shows the ways to the shop's lists, which a bench has no room for. */
export function TopBar({ children, rooms = false }: { children?: ReactNode; rooms?: boolean }) {
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
      {rooms && actor.role !== "VIEWER" && (
        <nav className="rooms" aria-label="Lists">
          <NavLink to="/" end>
            Worklist
          </NavLink>
          <NavLink to="/repairs">Repairs</NavLink>
          <NavLink to="/jobs">Jobs</NavLink>
          <NavLink to="/procedures">Procedures</NavLink>
          <NavLink to="/gauges">Gauges</NavLink>
          <NavLink to="/criteria">Criteria</NavLink>
          <NavLink to="/reject-rates">Reject rates</NavLink>
          <NavLink to="/people">People</NavLink>
        </nav>
      )}
      <NetworkMark />
      <ThemeSwitch />
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
