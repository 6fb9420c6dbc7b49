import { useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { Route, Routes } from "react-router";
import { changeSession, useSession } from "./lib/session";
import { SignIn } from "./sign-in/SignIn";

const Worklist = lazy(() => import("./worklist/Worklist"));
const SetUp = lazy(() => import("./set-up/SetUp"));
const BenchPage = lazy(() => import("./bench/BenchPage"));
const People = lazy(() => import("./people/People"));

export function Mensor() {
  const queries = useQueryClient();
  const session = useSession();
  if (session.isPending) return <p style={{ padding: 24 }}>Opening Mensor …</p>;
  if (session.isError) return <p style={{ padding: 24 }}>Mensor cannot be reached. Is it running?</p>;
  if (!session.data.person) return <SignIn session={session.data} onSignedIn={(s) => changeSession(queries, s)} />;
  return (
    <Suspense fallback={<p style={{ padding: 24 }}>Opening …</p>}>
      <Routes>
        <Route path="/joints/new" element={<SetUp />} />
        <Route path="/joints/:id" element={<SetUp />} />
        <Route path="/inspections/:id" element={<BenchPage />} />
        <Route path="/people" element={<People />} />
        <Route path="*" element={<Worklist />} />
      </Routes>
    </Suspense>
  );
}
