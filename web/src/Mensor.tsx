import { useQuery, useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { Button, Result, Skeleton } from "antd";
import { Link, Navigate, Outlet, Route, Routes, useLocation } from "react-router";
import { describeKinds } from "./bench/kinds";
import { api } from "./lib/api";
import { changeSession, useSession } from "./lib/session";
import { ErrorBoundary } from "./lib/ErrorBoundary";
import { NewVersion } from "./lib/NewVersion";
import { beginningOf } from "./lib/pages";
import { SignIn } from "./sign-in/SignIn";

const Worklist = lazy(() => import("./worklist/Worklist"));
const SetUp = lazy(() => import("./set-up/SetUp"));
const BenchPage = lazy(() => import("./bench/BenchPage"));
const Jobs = lazy(() => import("./jobs/Jobs"));
const Procedures = lazy(() => import("./procedures/Procedures"));
const Gauges = lazy(() => import("./gauges/Gauges"));
const StopOrGo = lazy(() => import("./welding-record/StopOrGo"));
const Machines = lazy(() => import("./machines/Machines"));
const TestPieces = lazy(() => import("./test-piece/TestPieces"));
const TestPiecePage = lazy(() => import("./test-piece/TestPiecePage"));
const PiecePage = lazy(() => import("./practice/PiecePage"));
const SeriesPage = lazy(() => import("./practice/SeriesPage"));
const Drills = lazy(() => import("./practice/Drills"));
const ClassPage = lazy(() => import("./practice/ClassPage"));
const WeldingRecordPage = lazy(() => import("./welding-record/WeldingRecordPage"));
const PlanPage = lazy(() => import("./plan/PlanPage"));
const SheetPage = lazy(() => import("./sheet/SheetPage"));
const NotePage = lazy(() => import("./causes/NotePage"));
const RejectRates = lazy(() => import("./reject-rates/RejectRates"));
const WhereToAct = lazy(() => import("./where-to-act/WhereToAct"));
const RepairsPage = lazy(() => import("./repair/RepairsPage"));
const TicketPage = lazy(() => import("./repair/TicketPage"));
const HistoryPage = lazy(() => import("./history/HistoryPage"));
const ShopHistory = lazy(() => import("./history/ShopHistory"));
const WeldMapPage = lazy(() => import("./map/WeldMapPage"));
const PracticeWelds = lazy(() => import("./practice-weld/PracticeWelds"));
const PracticeBench = lazy(() => import("./practice-weld/PracticeBench"));
const ScanLabel = lazy(() => import("./worklist/ScanLabel"));
const WeldLink = lazy(() => import("./worklist/WeldLink"));
const EyePage = lazy(() => import("./practice-weld/EyePage"));
const StudiesPage = lazy(() => import("./studies/StudiesPage"));
const CriteriaPages = lazy(() => import("./criteria/CriteriaPages"));
const People = lazy(() => import("./people/People"));

function Opening({ failed, onRetry }: { failed: boolean; onRetry: () => void }) {
  if (!failed) return <Skeleton className="page" active />;
  return (
    <Result
      status="warning"
      title="Mensor cannot be reached. Is it running?"
      extra={<Button onClick={onRetry}>Try again</Button>}
    />
  );
}

/** A fault of one page stays on that page: the others can still be opened. */
function Guarded() {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary key={pathname}>
      <Outlet />
    </ErrorBoundary>
  );
}

function Nowhere() {
  return (
    <Result
      status="404"
      title="There is no such page"
      extra={
        <Link to="/">
          <Button type="primary">To the beginning</Button>
        </Link>
      }
    />
  );
}

/** As pages were called before: a link in an old note still leads there. */
function Renamed({ from, to }: { from: string; to: string }) {
  const { pathname, search } = useLocation();
  return <Navigate to={pathname.replace(from, to) + search} replace />;
}

export function Mensor() {
  const queries = useQueryClient();
  const session = useSession();
  const kinds = useQuery({
    queryKey: ["kinds"],
    queryFn: api.kinds,
    // also what was kept in the browser is described before a bench is shown
    select: (views) => {
      describeKinds(views);
      return views;
    },
    enabled: Boolean(session.data?.person),
    staleTime: Infinity,
    gcTime: Infinity,
  });
  // a session that was kept is shown while the server cannot be asked
  if (!session.data) return <Opening failed={session.isError} onRetry={() => void session.refetch()} />;
  if (!session.data.person) return <SignIn session={session.data} onSignedIn={(s) => changeSession(queries, s)} />;
  if (!kinds.data) return <Opening failed={kinds.isError} onRetry={() => void kinds.refetch()} />;
  return (
    <Suspense fallback={<Skeleton className="page" active />}>
      <NewVersion />
      <Routes>
        <Route element={<Guarded />}>
          <Route path="/" element={<Navigate to={beginningOf(session.data.person)} replace />} />
          <Route path="/worklist" element={<Worklist />} />
          <Route path="/joints/new" element={<SetUp />} />
          <Route path="/joints/:id" element={<SetUp />} />
          <Route path="/inspections/:id" element={<BenchPage />} />
          <Route path="/joints/:id/welding-record" element={<WeldingRecordPage />} />
          <Route path="/joints/:id/history" element={<HistoryPage />} />
          <Route path="/joints/:id/plan" element={<PlanPage />} />
          <Route path="/joints/:id/stop-or-go" element={<StopOrGo />} />
          <Route path="/inspections/:id/sheet" element={<SheetPage />} />
          <Route path="/inspections/:id/note" element={<NotePage />} />
          <Route path="/repairs" element={<RepairsPage />} />
          <Route path="/defects/:id" element={<TicketPage />} />
          <Route path="/reject-rates" element={<RejectRates />} />
          <Route path="/where-to-act" element={<WhereToAct />} />
          <Route path="/jobs/:id/map" element={<WeldMapPage />} />
          <Route path="/jobs" element={<Jobs />} />
          <Route path="/jobs/:id" element={<Jobs />} />
          <Route path="/procedures" element={<Procedures />} />
          <Route path="/procedures/:id" element={<Procedures />} />
          <Route path="/gauges" element={<Gauges />} />
          <Route path="/machines" element={<Machines />} />
          <Route path="/test-pieces" element={<TestPieces />} />
          <Route path="/test-pieces/:id" element={<PiecePage />} />
          <Route path="/joints/:id/test-piece" element={<TestPiecePage />} />
          <Route path="/series" element={<SeriesPage />} />
          <Route path="/series/:welder" element={<SeriesPage />} />
          <Route path="/drills" element={<Drills />} />
          <Route path="/class" element={<ClassPage />} />
          <Route path="/practice" element={<PracticeWelds />} />
          <Route path="/practice/:id" element={<PracticeBench />} />
          <Route path="/eye" element={<EyePage />} />
          <Route path="/welds/:id" element={<WeldLink />} />
          <Route path="/scan-label" element={<ScanLabel />} />
          <Route path="/studies" element={<StudiesPage />} />
          <Route path="/studies/:id" element={<StudiesPage />} />
          <Route path="/criteria" element={<CriteriaPages />} />
          <Route path="/criteria/:id" element={<CriteriaPages />} />
          <Route path="/people" element={<People />} />
          <Route path="/history" element={<ShopHistory />} />
          <Route path="/books/*" element={<Renamed from="/books" to="/criteria" />} />
          <Route path="/rates" element={<Renamed from="/rates" to="/reject-rates" />} />
          <Route path="/joints/:id/making" element={<Renamed from="/making" to="/welding-record" />} />
          <Route path="*" element={<Nowhere />} />
        </Route>
      </Routes>
    </Suspense>
  );
}
