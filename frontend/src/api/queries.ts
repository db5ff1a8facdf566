import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";

import type { Seen } from "./changes";
import { speakAs } from "../voice";
import { body, client, newId, type Convention, type Schemas, type Sheet } from "./client";
import { sheetKey, SHEETS } from "./keys";

const SETTINGS = ["settings"] as const;
const VOICE = ["voice"] as const;
const TOOLS = ["tools"] as const;
const CONVENTIONS = ["conventions"] as const;
/** What hangs on readings that change is not remembered. */
const ASKED_ANEW = { staleTime: 0, gcTime: 0 } as const;

export function useSheets() {
  return useQuery({ queryKey: SHEETS, queryFn: () => body(client.GET("/api/sheets")) });
}

export function useSheet(id: string) {
  return useQuery({
    queryKey: sheetKey(id),
    queryFn: () => body(client.GET("/api/sheets/{key}", { params: { path: { key: id } } })),
    enabled: id !== "",
  });
}

/** A quantity of a sheet, whole: asked for by itself where its sheet tells it in brief. */
export function useQuantity(sheet: Sheet | undefined, id: string) {
  const told = sheet?.quantities.find((one) => one.id === id);
  const path = { sheet: sheet?.id ?? "", key: id };
  const brief = told?.whole === false;
  const asked = useQuery({
    queryKey: [...sheetKey(path.sheet), "quantity", id, sheet?.version],
    queryFn: () => body(client.GET("/api/sheets/{sheet}/quantities/{key}", { params: { path } })),
    enabled: brief,
    // What was known stays in sight until the next state is here.
    placeholderData: (known) => (known?.id === id ? known : undefined),
    ...ASKED_ANEW,
  });
  return brief
    ? { quantity: asked.data, isLoading: asked.isLoading, error: asked.error }
    : { quantity: told, isLoading: false, error: null };
}

export function useShelf() {
  return useQuery({
    queryKey: ["shelf"],
    queryFn: () => body(client.GET("/api/instruments/shelf")),
    staleTime: Infinity,
  });
}

export function useWords() {
  return useQuery({
    queryKey: ["words"],
    queryFn: () => body(client.GET("/api/words")),
    staleTime: Infinity,
  });
}

export function useTools() {
  return useQuery({ queryKey: TOOLS, queryFn: () => body(client.GET("/api/tools")) });
}

/** An instrument worked out while it is described; the last good one stays in sight. */
export function useDescription(record: Schemas["InstrumentFields"]) {
  return useQuery({
    queryKey: ["describe", record],
    queryFn: () => body(client.POST("/api/instruments/describe", { body: record })),
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: Infinity,
  });
}

/** Tells the description of a tool in another unit. */
export function useInUnit() {
  return useMutation({
    mutationFn: (wanted: Schemas["InUnit"]) =>
      body(client.POST("/api/instruments/in-unit", { body: wanted })),
  });
}

export function usePitch() {
  return useMutation({
    mutationFn: (sheet: Schemas["PitchSheet"]) =>
      body(client.POST("/api/instruments/pitch", { body: sheet })),
  });
}

/** Something that changes the student's own tools. */
function useToolChange<Given, Found>(change: (given: Given) => Promise<Found>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => queries.invalidateQueries({ queryKey: TOOLS }),
  });
}

export function useKeepTool() {
  return useToolChange((tool: Schemas["NewTool"]) =>
    body(client.POST("/api/tools", { body: tool })),
  );
}

export function useAmendTool() {
  return useToolChange(({ seen, ...tool }: { seen: Seen } & Schemas["InstrumentFields"]) =>
    body(
      client.PATCH("/api/tools/{key}", {
        params: { path: { key: seen.id } },
        headers: { "If-Match": `"${seen.version}"` },
        body: tool,
      }),
    ),
  );
}

export function useRemoveTool() {
  return useToolChange((seen: Seen) =>
    body(
      client.DELETE("/api/tools/{key}", {
        params: { path: { key: seen.id } },
        headers: { "If-Match": `"${seen.version}"` },
      }),
    ),
  );
}

export function useSettingsQuery() {
  return useQuery({ queryKey: SETTINGS, queryFn: () => body(client.GET("/api/settings")) });
}

/** The voice of who reads; what is drawn once it is there is said in it. */
export function useVoice() {
  return useQuery({
    queryKey: VOICE,
    queryFn: async () => {
      const voice = await body(client.GET("/api/voice"));
      speakAs(voice);
      return voice;
    },
    staleTime: Infinity,
  });
}

export function useChangeSettings() {
  const queries = useQueryClient();
  return useMutation({
    mutationKey: SETTINGS,
    scope: { id: "settings" },
    mutationFn: (settings: Schemas["Settings"]) =>
      body(client.PATCH("/api/settings", { body: settings })),
    // A choice shows at once; what the server says of it comes after.
    onMutate: (some) => {
      const before = queries.getQueryData<Schemas["Settings"]>(SETTINGS);
      queries.setQueryData(SETTINGS, { ...before, ...some });
      return before;
    },
    onSuccess: (settings) => {
      // A later choice that is still on its way has been shown already: it is not taken back.
      if (queries.isMutating({ mutationKey: SETTINGS }) > 1) return;
      queries.setQueryData(SETTINGS, settings);
      // What the server says of anything, it says otherwise now.
      void queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== SETTINGS[0] });
    },
    onError: (_problem, _some, before) => queries.setQueryData(SETTINGS, before),
  });
}

/** The whole working of a quantity, asked for when it is looked at. */
export function useWholeWorking(sheet: string, quantity: string) {
  const path = { sheet, key: quantity };
  return useQuery({
    queryKey: [...sheetKey(sheet), "working", quantity],
    queryFn: () =>
      body(client.GET("/api/sheets/{sheet}/quantities/{key}/working", { params: { path } })),
    ...ASKED_ANEW,
  });
}

/** What each convention says of the readings of a quantity, asked for when it is looked at. */
export function useOthers(sheet: string, quantity: string) {
  const path = { sheet, key: quantity };
  return useQuery({
    queryKey: [...sheetKey(sheet), "others", quantity],
    queryFn: () =>
      body(client.GET("/api/sheets/{sheet}/quantities/{key}/others", { params: { path } })),
    ...ASKED_ANEW,
  });
}

export function useRestore() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) =>
      body(client.POST("/api/sheets/{key}/restore", { params: { path: { key: id } } })),
    // A damaged sheet comes back too, though there is nothing of it to show.
    onSettled: () => queries.invalidateQueries({ queryKey: SHEETS }),
  });
}

/** Does away with what is in the trash. */
export function useEmptyTrash() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => body(client.DELETE("/api/trash")),
    onSuccess: (listing) => queries.setQueryData(SHEETS, listing),
  });
}

export function useTrash() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, command = "" }: { id: string; command?: string }) =>
      body(
        client.DELETE("/api/sheets/{key}", { params: { path: { key: id }, query: { command } } }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: SHEETS }),
  });
}

/** The conventions that every sheet may choose from. */
export function useConventions() {
  return useQuery({
    queryKey: CONVENTIONS,
    queryFn: () => body(client.GET("/api/conventions")),
    staleTime: Infinity,
  });
}

/** Something that changes the conventions of one's own and answers with all there are. */
function useConventionChange<Given>(change: (given: Given) => Promise<Convention[]>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: (conventions) => {
      queries.setQueryData(CONVENTIONS, conventions);
      void queries.invalidateQueries({ queryKey: ["sheet"] });
      void queries.invalidateQueries({ queryKey: SETTINGS });
    },
  });
}

/** Keeps a convention of one's own: a new one, or the one with this id described anew. */
export function useKeepConvention() {
  return useConventionChange(
    ({ id, record }: { id: string | null; record: Schemas["ConventionFields"] }) =>
      id === null
        ? body(client.POST("/api/conventions", { body: { ...record, id: newId() } }))
        : body(
            client.PUT("/api/conventions/{key}", { params: { path: { key: id } }, body: record }),
          ),
  );
}

export function useRemoveConvention() {
  return useConventionChange((id: string) =>
    body(client.DELETE("/api/conventions/{key}", { params: { path: { key: id } } })),
  );
}

/** In which forms a sheet is handed on. */
export function useForms() {
  return useQuery({
    queryKey: ["forms"],
    queryFn: () => body(client.GET("/api/forms")),
    staleTime: Infinity,
  });
}

/** What a convention of limits may choose, in words. */
export function useConventionChoices() {
  return useQuery({
    queryKey: ["convention-choices"],
    queryFn: () => body(client.GET("/api/conventions/choices")),
    staleTime: Infinity,
  });
}

/** What a convention would do, worked out while it is described. */
export function useDescribedConvention(record: Schemas["ConventionFields"]) {
  return useQuery({
    queryKey: ["convention", record],
    queryFn: () => body(client.POST("/api/conventions/describe", { body: record })),
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: Infinity,
  });
}

/** What each tool would give; asked anew with each figure, the last answer stays in sight. */
export function usePlans(wish: Schemas["Wish"], enabled: boolean) {
  return useQuery({
    queryKey: ["plans", wish],
    queryFn: () => body(client.POST("/api/planner", { body: wish })),
    placeholderData: keepPreviousData,
    retry: false,
    enabled,
  });
}

/** The same to be seen. */
export function usePlanChart(wish: Schemas["Wish"], enabled: boolean) {
  return useQuery({
    queryKey: ["plan-chart", wish],
    queryFn: () => body(client.POST("/api/planner/chart", { body: wish })),
    placeholderData: keepPreviousData,
    retry: false,
    enabled,
  });
}

/** An exercise to be read; it stays what it is. */
export function useExercise(which: Schemas["Which"]) {
  return useQuery({
    queryKey: ["exercise", which],
    queryFn: () => body(client.POST("/api/practice/exercise", { body: which })),
    staleTime: Infinity,
    retry: false,
  });
}

/** Judges an answer. */
export function useGiveAnswer() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (attempt: Schemas["Attempt"]) =>
      body(client.POST("/api/practice/answer", { body: attempt })),
    onSuccess: () => void queries.invalidateQueries({ queryKey: PATH }),
  });
}

const PATH = ["path"] as const;

/** Where a learner stands, and what comes next. */
export function usePath() {
  return useQuery({
    queryKey: PATH,
    queryFn: () => body(client.GET("/api/practice/path")),
    staleTime: Infinity,
  });
}

/** Forgets all that was answered. */
export function useForgetPath() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => body(client.DELETE("/api/practice/path")),
    onSuccess: () => queries.invalidateQueries({ queryKey: PATH }),
  });
}

/** Judges the answers on a printed sheet. */
export function useMarkSheet() {
  return useMutation({
    mutationFn: (filled: Schemas["Filled"]) =>
      body(client.POST("/api/practice/sheet", { body: filled })),
  });
}

/** What is right, asked for once it may be seen. */
export function useShownAnswer(which: Schemas["Which"], enabled: boolean) {
  return useQuery({
    queryKey: ["shown", which],
    queryFn: () =>
      body(client.POST("/api/practice/shown", { body: { ...which, given: "", seconds: 0 } })),
    staleTime: Infinity,
    enabled,
  });
}

/** Usual derived quantities, with what of a sheet stands in their blanks. */
export function useBoard(sheet: string, version: number) {
  return useQuery({
    queryKey: [...sheetKey(sheet), "board", version],
    queryFn: () =>
      body(client.GET("/api/sheets/{key}/board", { params: { path: { key: sheet } } })),
    ...ASKED_ANEW,
  });
}

/** What can be measured of a thing, and what its name says of that. */
export function useMeasurands(thing: string) {
  return useQuery({
    queryKey: ["measurands", thing],
    queryFn: () => body(client.GET("/api/measurands", { params: { query: { thing } } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
}
