import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { lazy, Suspense, useEffect } from "react";
import { BrowserRouter, Route, Routes } from "react-router";

import { useSettingsQuery, useVoice } from "../api";
import { BeginPage } from "../begin/BeginPage";
import { QuantityPage } from "../desk/QuantityPage";
import { WorkshopPage } from "../instruments/WorkshopPage";
import { NotebookPage } from "../notebook/NotebookPage";
import { useOutboxSender } from "../outbox/useOutbox";
import { useFollow } from "./useFollow";
import { SettingsPage } from "../settings/SettingsPage";
import { SheetPage } from "../sheet/SheetPage";
import "./app.css";
import { language } from "../voice";
import { Header } from "./Header";
import { KeysHelp } from "./KeysHelp";
import { chosen, SettingsContext } from "../common/settings";
import { rememberedTheme, Theme } from "./Theme";

/** Opened seldom, so they are fetched when they are. */
const BenchPage = lazy(() => import("../bench/BenchPage"));
const HelpPage = lazy(() => import("../help/HelpPage"));
const PlannerPage = lazy(() => import("../planner/PlannerPage"));
const PracticePage = lazy(() => import("../practice/PracticePage"));
const WordsPage = lazy(() => import("../words/WordsPage"));
const ReportPage = lazy(() => import("../report/ReportPage"));

const queries = new QueryClient({
  defaultOptions: {
    // Metrion is on this machine, or beside it: whether there is a network says nothing.
    queries: { staleTime: 5_000, retry: 1, networkMode: "always" },
    mutations: { networkMode: "always" },
  },
});

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <AppShell />
      </BrowserRouter>
    </QueryClientProvider>
  );
}

function AppShell() {
  const { data } = useSettingsQuery();
  const { data: voice, isPending } = useVoice();
  const settings = chosen(data);
  useOutboxSender();
  useFollow();
  // What is drawn is said anew with each voice.
  useEffect(() => {
    document.documentElement.lang = language();
  }, [voice]);
  // Nothing is shown in words that would change in the next moment.
  if (isPending) return null;
  return (
    <SettingsContext value={settings}>
      <Theme choice={data ? settings.theme : rememberedTheme()}>
        <Header />
        <main>
          <Suspense fallback={null}>
            <Routes>
              <Route path="/" element={<NotebookPage />} />
              <Route path="/sheets/:sheetId" element={<SheetPage />} />
              <Route path="/sheets/:sheetId/report" element={<ReportPage />} />
              <Route path="/sheets/:sheetId/quantities/:quantityId" element={<QuantityPage />} />
              <Route path="/begin" element={<BeginPage />} />
              <Route path="/instruments" element={<WorkshopPage />} />
              <Route path="/planner" element={<PlannerPage />} />
              <Route path="/bench" element={<BenchPage />} />
              <Route path="/practice" element={<PracticePage />} />
              <Route path="/words" element={<WordsPage />} />
              <Route path="/help" element={<HelpPage />} />
              <Route path="/settings" element={<SettingsPage />} />
              <Route path="*" element={<NotebookPage />} />
            </Routes>
          </Suspense>
        </main>
        <KeysHelp />
      </Theme>
    </SettingsContext>
  );
}
