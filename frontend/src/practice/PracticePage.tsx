import { Segmented, Select } from "antd";
import { useState } from "react";
import { useSearchParams } from "react-router";

import { say } from "../voice";
import { Drill } from "./Drill";
import { Exercise, type Which } from "./Exercise";
import { rememberedLook, rememberLook, type PhotoLook } from "./look";
import { LookChoice } from "./LookChoice";
import { Path } from "./Path";
import "./practice.css";
import { SheetAnswers } from "./SheetAnswers";

const LENGTHS = ["", "least-count", "zero-error", "reading", "corrected", "mean"] as const;
const ANGLES = ["", "least-count", "reading", "sweep"] as const;
const EVERY = [...LENGTHS, "sweep"] as const;
const QUESTIONS: Record<Which["kind"], readonly Which["question"][]> = {
  "": EVERY,
  plain: ["reading"],
  vernier: LENGTHS,
  screw: LENGTHS,
  angular: ANGLES,
};
const KINDS = Object.keys(QUESTIONS) as Which["kind"][];
const WAYS = ["path", "pick", "drill", "sheet"] as const;
type Way = (typeof WAYS)[number];

const SEEDS = 1_000_000;
const newSeed = () => crypto.getRandomValues(new Uint32Array(1)).map((one) => one % SEEDS)[0] ?? 0;

/** Scales to be read: an answer is right, or it is said which slip gives exactly that. */
export default function PracticePage() {
  const [address, setAddress] = useSearchParams();
  const [own] = useState(newSeed);
  const [look, setLook] = useState(rememberedLook);
  const which: Which = {
    seed: Number(address.get("seed") ?? own) || 0,
    at: Math.max(1, Number(address.get("at")) || 1),
    kind: KINDS.find((kind) => kind === address.get("kind")) ?? "",
    question: EVERY.find((question) => question === address.get("question")) ?? "",
    level: "",
    slip: "",
  };
  const way =
    WAYS.find((one) => one === address.get("way")) ?? (address.has("seed") ? "pick" : "path");
  const go = (to: Way, some: Partial<Which> = {}) => {
    const { seed, at, kind, question } = { ...which, ...some };
    const said = to === "pick" || to === "drill" ? { seed, at, kind, question } : {};
    const next = Object.entries({ way: to, ...said }).filter(([, value]) => value !== "");
    setAddress(new URLSearchParams(next.map(([name, value]) => [name, String(value)])));
  };
  const choose = (chosen: PhotoLook | null) => {
    rememberLook(chosen);
    setLook(chosen);
  };
  return (
    <div className="page practice">
      <h1>{say("practice-practice")}</h1>
      <p className="quiet">{say("practice-why")}</p>
      <div className="practice-choice">
        <Segmented
          aria-label={say("practice-way")}
          value={way}
          options={WAYS.map((one) => ({ value: one, label: say(`practice-way-${one}`) }))}
          onChange={(one) => go(one, { at: 1 })}
        />
        {way !== "sheet" && <LookChoice look={look} onLook={choose} />}
      </div>
      {(way === "pick" || way === "drill") && (
        <What which={which} onWhat={(some) => go(way, { ...some, at: 1 })} />
      )}
      {way === "path" && (
        <Path look={look} onPick={(kind, question) => go("pick", { kind, question, at: 1 })} />
      )}
      {way === "pick" && (
        <Exercise
          key={JSON.stringify(which)}
          which={which}
          look={look}
          onNext={() => go("pick", { at: which.at + 1 })}
        />
      )}
      {way === "drill" && <Drill key={JSON.stringify(which)} which={which} look={look} />}
      {way === "sheet" && <SheetAnswers />}
    </div>
  );
}

/** Of which tool, and with which question. */
function What({ which, onWhat }: { which: Which; onWhat: (some: Partial<Which>) => void }) {
  const [first, ...others] = QUESTIONS[which.kind];
  const only = others.length === 0 ? first : undefined;
  return (
    <div className="practice-choice">
      <Segmented
        aria-label={say("instruments-kind")}
        value={which.kind}
        options={KINDS.map((kind) => ({
          value: kind,
          label: say(`practice-kind-${kind || "any"}`),
        }))}
        onChange={(kind) => onWhat({ kind, question: "" })}
      />
      <Select
        aria-label={say("practice-question")}
        value={only ?? which.question}
        options={QUESTIONS[which.kind].map((question) => ({
          value: question,
          label: say(`practice-question-${question || "any"}`),
        }))}
        onChange={(question) => onWhat({ question })}
      />
    </div>
  );
}
