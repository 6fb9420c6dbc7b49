import {
  ApiOutlined,
  KeyOutlined,
  LogoutOutlined,
  MenuOutlined,
  MoonOutlined,
  SunOutlined,
  UserOutlined,
} from "@ant-design/icons";
import { useQueryClient } from "@tanstack/react-query";
import { Button, Dropdown, Menu, type MenuProps } from "antd";
import { lazy, Suspense, useState, type ReactNode } from "react";
import { Link, useLocation, useNavigate } from "react-router";
import { HelpButton } from "../help/HelpButton";
import { api } from "./api";
import { NetworkMark } from "./NetworkMark";
import { Notices } from "./Notices";
import { pagesFor } from "./pages";
import { holds, rolesSaid } from "./roles";
import { changeSession, useActor } from "./session";
import { setTheme, useTheme } from "./theme-choice";
import "./top-bar.css";
import { useNarrow } from "./useNarrow";
import { Wordmark } from "./Wordmark";

/** The bar of a screen; {@code rooms} shows the ways to the shop's lists, by what one comes to do. */
export function TopBar({ children, rooms = false }: { children?: ReactNode; rooms?: boolean }) {
  const actor = useActor();
  const to = holds(actor, "INSTRUCTOR", "LEARNER") ? "/" : "/worklist";
  return (
    <header className="noprint topbar">
      <Link to={to} className="word" aria-label={`Mensor, to ${to === "/worklist" ? "the worklist" : "the beginning"}`}>
        <Wordmark />
        <span>Mensor</span>
      </Link>
      <div className="where">{children}</div>
      {rooms && <Rooms />}
      <NetworkMark />
      <Notices />
      <HelpButton />
      <Person />
    </header>
  );
}

/** Where one goes, by what one comes to do: the bar stays short whatever comes next. */
function Rooms() {
  const actor = useActor();
  const narrow = useNarrow(860);
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const groups = pagesFor(actor);
  const here = groups.flatMap((g) => g.pages).find((p) => pathname.startsWith(p.to))?.to ?? "/worklist";
  const go: MenuProps["onClick"] = ({ key }) => void navigate(key);
  const items = groups.map((g) => ({
    key: g.word,
    label: g.word,
    children: g.pages.map((p) => ({ key: p.to, label: p.word })),
  }));
  return (
    <nav aria-label="Pages">
      {narrow ? (
        <Dropdown
          trigger={["click"]}
          menu={{ items: items.map((i) => ({ ...i, type: "group" as const })), selectedKeys: [here], onClick: go }}
        >
          <Button ghost icon={<MenuOutlined />} aria-label="All pages" />
        </Dropdown>
      ) : (
        <Menu
          mode="horizontal"
          theme="dark"
          disabledOverflow
          triggerSubMenuAction="click"
          selectedKeys={[here]}
          items={items}
          onClick={go}
        />
      )}
    </nav>
  );
}

const Tokens = lazy(() => import("../people/Tokens"));
const OwnPassword = lazy(() => import("../people/OwnPassword"));

function Person() {
  const actor = useActor();
  const [shown, setShown] = useState<"password" | "tokens">();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const theme = useTheme();
  const other = theme === "dark" ? "light" : "dark";
  const leave = async () => {
    const session = await api.signOut();
    await navigate("/");
    changeSession(queries, session);
  };
  const menu = (
    <Dropdown
      trigger={["click"]}
      menu={{
        items: [
          { key: "who", label: `${actor.name}, ${rolesSaid(actor)}`, disabled: true },
          { type: "divider" },
          { key: "theme", icon: other === "dark" ? <MoonOutlined /> : <SunOutlined />, label: `Show it ${other}` },
          { key: "password", icon: <KeyOutlined />, label: "Change your password" },
          { key: "tokens", icon: <ApiOutlined />, label: "Tokens for scripts" },
          { key: "out", icon: <LogoutOutlined />, label: "Sign out" },
        ],
        onClick: ({ key }) => {
          if (key === "theme") setTheme(other);
          if (key === "password" || key === "tokens") setShown(key);
          if (key === "out") void leave();
        },
      }}
    >
      <Button ghost icon={<UserOutlined />} aria-label={`${actor.name}: theme, sign out`}>
        <span className="name">
          <b>{actor.name}</b>
          {rolesSaid(actor)}
        </span>
      </Button>
    </Dropdown>
  );
  return (
    <>
      {menu}
      <Suspense>
        {shown === "password" && <OwnPassword onClose={() => setShown(undefined)} />}
        {shown === "tokens" && <Tokens onClose={() => setShown(undefined)} />}
      </Suspense>
    </>
  );
}
