import { Input, Segmented, Select, Switch } from "antd";
import type { ReactNode } from "react";

import {
  useChangeSettings,
  useConventions,
  useSettingsQuery,
  useVoice,
  type Settings,
} from "../api";
import { useChosen, type Chosen } from "../common/settings";
import { Access } from "./Access";
import { OwnConventions } from "./OwnConventions";
import "./settings.css";
import { languageName, say } from "../voice";
import { useShowError } from "../common/useShowError";

type DecimalSign = NonNullable<Settings["decimal_sign"]>;

/** What is chosen once for the notebook. */
export function SettingsPage() {
  const settings = useChosen();
  const { data } = useSettingsQuery();
  const change = useChangeSettings();
  const showError = useShowError();
  const set = (some: Settings) => change.mutate(some, { onError: showError });
  return (
    <div className="page settings">
      <h1>{say("app-settings")}</h1>
      <div className="card">
        <ConventionChoice onChoose={(convention) => set({ convention })} />
        <WhoMeasures known={data?.authors} onKnown={(authors) => set({ authors })} />
        <Choice title={say("settings-theme")} words={say("settings-theme-why")}>
          <Segmented<Chosen["theme"]>
            aria-label={say("settings-theme")}
            value={settings.theme}
            onChange={(theme) => set({ theme })}
            options={[
              { value: "system", label: say("settings-theme-system") },
              { value: "light", label: say("settings-light") },
              { value: "dark", label: say("settings-dark") },
            ]}
          />
        </Choice>
        <Choice title={say("settings-decimal-sign")} words={say("settings-decimal-why")}>
          <Segmented<DecimalSign>
            aria-label={say("settings-decimal-sign")}
            value={data?.decimal_sign ?? "point"}
            onChange={(sign) => set({ decimal_sign: sign })}
            options={[
              { value: "point", label: say("settings-decimal-point") },
              { value: "comma", label: say("settings-decimal-comma") },
            ]}
          />
        </Choice>
        <LanguageChoice chosen={data?.language} onChoose={(language) => set({ language })} />
        <Choice title={say("settings-digits")} words={say("settings-digits-why")}>
          <Switch
            aria-label={say("settings-digits")}
            checked={settings.singleKeys}
            onChange={(on) => set({ single_keys: on })}
          />
        </Choice>
      </div>
      <OwnConventions />
      <Access />
    </div>
  );
}

interface WhoProps {
  known: Settings["authors"];
  onKnown: (authors: string) => void;
}

/** Who measures: asked once, for every sheet that is begun. */
function WhoMeasures({ known, onKnown }: WhoProps) {
  const keep = (typed: string) => {
    if (typed.trim() !== known) onKnown(typed.trim());
  };
  return (
    <Choice title={say("settings-who-measures")} words={say("settings-who-measures-about")}>
      {known !== undefined && (
        <Input
          className="who-measures"
          aria-label={say("settings-who-measures")}
          placeholder={say("settings-who-measures-hint")}
          maxLength={500}
          defaultValue={known}
          onBlur={(event) => keep(event.target.value)}
          onPressEnter={(event) => keep(event.currentTarget.value)}
        />
      )}
    </Choice>
  );
}

interface LanguageProps {
  chosen: Settings["language"];
  onChoose: (language: NonNullable<Settings["language"]>) => void;
}

/** The language of the notebook, where there is more than one. */
function LanguageChoice({ chosen, onChoose }: LanguageProps) {
  const { data: voice } = useVoice();
  if (!voice || voice.languages.length < 2) return null;
  return (
    <Choice title={say("settings-language")} words={say("settings-language-of")}>
      <Select
        aria-label={say("settings-language")}
        value={chosen ?? voice.language}
        onChange={onChoose}
        options={voice.languages.map((one) => ({ value: one, label: languageName(one) }))}
      />
    </Choice>
  );
}

/** The convention of the notebook: new quantities begin with it. */
function ConventionChoice({
  onChoose,
}: {
  onChoose: (id: NonNullable<Settings["convention"]>) => void;
}) {
  const { data: conventions = [] } = useConventions();
  const { data: settings } = useSettingsQuery();
  const own = conventions.find(({ id }) => id === settings?.convention);
  return (
    <Choice title={say("planner-convention")} words={own?.words.join(" ") ?? ""}>
      <Select
        aria-label={say("planner-convention")}
        className="convention-select"
        value={settings?.convention ?? null}
        onChange={onChoose}
        options={conventions.map(({ id, name }) => ({ value: id, label: name }))}
      />
    </Choice>
  );
}

interface ChoiceProps {
  title: string;
  words: string;
  children: ReactNode;
}

function Choice({ title, words, children }: ChoiceProps) {
  return (
    <div className="choice">
      <div>
        <h2>{title}</h2>
        <p className="quiet">{words}</p>
      </div>
      {children}
    </div>
  );
}
