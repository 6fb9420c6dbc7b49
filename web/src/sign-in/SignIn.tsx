import "./sign-in.css";
import { Button, Input, Tag } from "antd";
import { useState, type FormEvent } from "react";
import { api, saidBy, type Session } from "../lib/api";
import { rolesSaid, type Role } from "../lib/roles";
import { Cell, FormGrid } from "../lib/FormGrid";
import { RolesField } from "../people/RolesField";

type Props = { session: Session; onSignedIn: (s: Session) => void };

/** The first page: signing in, or making the quality manager of an empty database. */
export function SignIn({ session, onSignedIn }: Props) {
  return (
    <main className="gate">
      <section className="plate">
        <h1>Mensor</h1>
        <p>The measuring bench for finished stick welds.</p>
        <GateDrawing />
        <p>
          Visual inspection only, surface flaws only. Limits stand here from memory of the published codes: the
          contract’s own copy and the Engineer decide.
        </p>
      </section>
      <section className="desk">
        {session.empty ? (
          <FirstVisitor session={session} onSignedIn={onSignedIn} />
        ) : (
          <Form session={session} onSignedIn={onSignedIn} />
        )}
      </section>
    </main>
  );
}

function Form({ session, onSignedIn }: Props) {
  const [login, setLogin] = useState("");
  const [password, setPassword] = useState("");
  const [fault, setFault] = useState("");
  const enter = async (l: string, p: string) => {
    setFault("");
    try {
      onSignedIn(await api.signIn(l, p));
    } catch (e) {
      setFault(saidBy(e));
    }
  };
  const submit = (e: FormEvent) => {
    e.preventDefault();
    void enter(login, password);
  };
  return (
    <>
      <h2>Sign in</h2>
      <form onSubmit={submit}>
        <TextField id="login" label="Login" value={login} onChange={setLogin} autoComplete="username" />
        <TextField
          id="password"
          label="Password"
          type="password"
          value={password}
          onChange={setPassword}
          autoComplete="current-password"
        />
        <div role="alert" className="fault">
          {fault}
        </div>
        <Button type="primary" htmlType="submit">
          Sign in
        </Button>
      </form>
      {session.signIns.length > 0 && (
        <div>
          <h3>
            <Tag>DEMO</Tag> A made-up footbridge over a canal lock
          </h3>
          <p className="quiet small">
            One touch signs in. Every password is <b>{session.signIns[0]?.password}</b>.
          </p>
          <FormGrid>
            {session.signIns.map((s) => (
              <Cell key={s.login} span={6}>
                <Button block onClick={() => void enter(s.login, s.password)}>
                  <span>
                    <b>{s.name}</b>
                    <br />
                    <span className="quiet small">
                      {rolesSaid(s)} · {s.login}
                    </span>
                  </span>
                </Button>
              </Cell>
            ))}
          </FormGrid>
        </div>
      )}
    </>
  );
}

function FirstVisitor({ session, onSignedIn }: Props) {
  const [code, setCode] = useState("");
  const [login, setLogin] = useState("");
  const [name, setName] = useState("");
  const [roles, setRoles] = useState<Role[]>([]);
  const [password, setPassword] = useState("");
  const [fault, setFault] = useState("");
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      onSignedIn(await api.firstPerson({ login, name, roles, password, ...(session.codeWanted ? { code } : {}) }));
    } catch (x) {
      setFault(saidBy(x));
    }
  };
  return (
    <>
      <h2>Make the quality manager</h2>
      <p>
        Nobody is registered here yet. The quality manager adds the other people; in a small shop one person holds
        several roles.
      </p>
      <form onSubmit={(e) => void submit(e)}>
        <TextField id="name" label="Your name" value={name} onChange={setName} autoComplete="name" />
        <TextField id="login" label="Login" value={login} onChange={setLogin} autoComplete="username" />
        <TextField
          id="password"
          label="Password, 10 characters or more"
          type="password"
          value={password}
          onChange={setPassword}
          autoComplete="new-password"
        />
        {session.codeWanted && (
          <TextField
            id="code"
            label="Code that was printed where Mensor was started"
            value={code}
            onChange={setCode}
            autoComplete="off"
          />
        )}
        <RolesField without="QUALITY_MANAGER" value={roles} onChange={setRoles} />
        <div role="alert" className="fault">
          {fault}
        </div>
        <Button type="primary" htmlType="submit">
          Make and sign in
        </Button>
      </form>
    </>
  );
}

type TextProps = {
  id: string;
  label: string;
  value: string;
  onChange: (v: string) => void;
  type?: string;
  autoComplete: string;
};

function TextField({ id, label, value, onChange, type = "text", autoComplete }: TextProps) {
  return (
    <div>
      <label htmlFor={id}>{label}</label>
      <Input id={id} type={type} value={value} autoComplete={autoComplete} onChange={(e) => onChange(e.target.value)} />
    </div>
  );
}

/** A tee with its fillet, scribed as on layout fluid. */
function GateDrawing() {
  return (
    <svg viewBox="0 0 460 240" role="img" aria-label="A tee joint with a fillet weld and its legs lettered">
      <g fill="none" stroke="#c9d3dc" strokeWidth="2">
        <path d="M150 12v150M90 12v150M20 162h420M20 222h420" />
      </g>
      <path
        d="M150 72 Q 206 100 240 162 L150 162z"
        fill="#f2b705"
        fillOpacity=".22"
        stroke="#f2b705"
        strokeWidth="2.5"
      />
      <path d="M150 82 L230 162" stroke="#f2b705" strokeWidth="2" strokeDasharray="7 5" />
      <g stroke="#ffffff" strokeWidth="1.5" fill="#ffffff" fontSize="20" fontWeight="700">
        <path d="M272 72v90M264 72h16M264 162h16M150 186h90M150 178v16M240 178v16" />
        <text x="284" y="124" stroke="none">
          5/16
        </text>
        <text x="176" y="210" stroke="none">
          5/16
        </text>
      </g>
    </svg>
  );
}
