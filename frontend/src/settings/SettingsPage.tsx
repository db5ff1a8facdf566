import { App, Segmented, Select, Switch } from "antd";
import type { ReactNode } from "react";

import { useChangeSettings, useConventions, useSettingsQuery, type Settings } from "../api";
import { useChosen, useShow, type Chosen } from "../app/settings";
import { OwnConventions } from "./OwnConventions";
import "./settings.css";

/** What is chosen once for the notebook. */
export function SettingsPage() {
  const settings = useChosen();
  const change = useChangeSettings();
  const { message } = App.useApp();
  const set = (some: Settings) =>
    change.mutate(some, { onError: (problem) => void message.error(problem.message) });
  return (
    <div className="page settings">
      <h1>Settings</h1>
      <div className="card">
        <ConventionChoice onChoose={(convention) => set({ convention })} />
        <Choice title="Theme" words="Light for the bench, dark for the evening.">
          <Segmented<Chosen["theme"]>
            value={settings.theme}
            onChange={(theme) => set({ theme })}
            options={[
              { value: "system", label: "as the system" },
              { value: "light", label: "light" },
              { value: "dark", label: "dark" },
            ]}
          />
        </Choice>
        <Choice
          title="Decimal sign"
          words="Both are understood when you type; this one is written."
        >
          <Segmented<Chosen["decimalSign"]>
            value={settings.decimalSign}
            onChange={(sign) => set({ decimal_sign: sign })}
            options={[
              { value: "point", label: "point, 6.30" },
              { value: "comma", label: "comma, 6,30" },
            ]}
          />
        </Choice>
        <Choice
          title="Digits anywhere begin a reading"
          words="On a quantity, figures go into the equation also when the cursor is elsewhere."
        >
          <Switch
            aria-label="Digits anywhere begin a reading"
            checked={settings.singleKeys}
            onChange={(on) => set({ single_keys: on })}
          />
        </Choice>
      </div>
      <OwnConventions />
    </div>
  );
}

/** The convention of the notebook: new quantities begin with it. */
function ConventionChoice({
  onChoose,
}: {
  onChoose: (id: NonNullable<Settings["convention"]>) => void;
}) {
  const show = useShow();
  const { data: conventions = [] } = useConventions();
  const { data: settings } = useSettingsQuery();
  const own = conventions.find(({ id }) => id === settings?.convention);
  return (
    <Choice title="Convention" words={show(own?.words.join(" ") ?? "")}>
      <Select
        aria-label="Convention"
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
