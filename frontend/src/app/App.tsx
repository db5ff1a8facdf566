import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { BrowserRouter, Route, Routes } from "react-router";

import { useSettingsQuery } from "../api";
import { QuantityPage } from "../desk/QuantityPage";
import { NotebookPage } from "../notebook/NotebookPage";
import { SettingsPage } from "../settings/SettingsPage";
import { SheetPage } from "../sheet/SheetPage";
import "./app.css";
import { Header } from "./Header";
import { KeysHelp } from "./KeysHelp";
import { chosen, SettingsContext } from "./settings";
import { rememberedTheme, Theme } from "./Theme";

const queries = new QueryClient({
  defaultOptions: { queries: { staleTime: 5_000, retry: 1 } },
});

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <House />
      </BrowserRouter>
    </QueryClientProvider>
  );
}

function House() {
  const { data } = useSettingsQuery();
  const settings = chosen(data);
  return (
    <SettingsContext value={settings}>
      <Theme choice={data ? settings.theme : rememberedTheme()}>
        <Header />
        <main>
          <Routes>
            <Route path="/" element={<NotebookPage />} />
            <Route path="/sheets/:sheetId" element={<SheetPage />} />
            <Route path="/sheets/:sheetId/quantities/:quantityId" element={<QuantityPage />} />
            <Route path="/settings" element={<SettingsPage />} />
            <Route path="*" element={<NotebookPage />} />
          </Routes>
        </main>
        <KeysHelp />
      </Theme>
    </SettingsContext>
  );
}
