import { CloseCircleFilled } from "@ant-design/icons";
import { Button, Input, Radio, Skeleton } from "antd";
import { useState } from "react";
import { Link } from "react-router";

import { useChangeSettings, useSettingsQuery, useWords, type Concept } from "../api";
import "./words.css";
import { say } from "../voice";
import { DRAWN } from "../common/icons";
import { useShowError } from "../common/useShowError";

/** Every course's words for the same things, and how not to hurt yourself or the tool. */
export default function WordsPage() {
  const { data: words } = useWords();
  const [wanted, setWanted] = useState("");
  const needle = wanted.trim().toLowerCase();
  const found = (words?.concepts ?? []).filter((concept) =>
    [...concept.words, concept.meaning].join(" ").toLowerCase().includes(needle),
  );
  return (
    <div className="page words">
      <div className="page-head">
        <h1>{say("words-title")}</h1>
        <div className="page-acts">
          <Link to="/help">{say("words-the-guide")}</Link>
          <Input
            allowClear={{ clearIcon: <CloseCircleFilled {...DRAWN} /> }}
            placeholder={say("words-find")}
            aria-label={say("words-find")}
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
          />
        </div>
      </div>
      {!words && <Skeleton active title={false} />}
      <p className="quiet">{say("words-why")}</p>
      <section className="card" aria-label={say("words-glossary")}>
        {found.map((concept) => (
          <Entry key={concept.id} concept={concept} />
        ))}
        {words && found.length === 0 && (
          <p className="words-none">{say("words-none", { wanted })}</p>
        )}
      </section>
      <h2>{say("words-care")}</h2>
      <section className="card care" aria-label={say("words-care-link")}>
        {words?.care.map(({ title, text }) => (
          <div key={title}>
            <h3>{title}</h3>
            <p>{text}</p>
          </div>
        ))}
      </section>
    </div>
  );
}

function Entry({ concept }: { concept: Concept }) {
  const { data: settings } = useSettingsQuery();
  const change = useChangeSettings();
  const showError = useShowError();
  const own = settings?.words?.[concept.id] ?? concept.words[0];
  function pick(word: string) {
    change.mutate({ words: { ...settings?.words, [concept.id]: word } }, { onError: showError });
  }
  return (
    <article className="word">
      <h2>{own}</h2>
      <p>{concept.meaning}</p>
      <div className="word-choice">
        <Radio.Group
          aria-label={say("words-yours", { word: concept.words[0] ?? "" })}
          value={own}
          onChange={(event) => pick(String(event.target.value))}
          options={[...new Set([...concept.words, ...(own ? [own] : [])])].map((word) => ({
            value: word,
            label: word,
          }))}
        />
        <Input.Search
          aria-label={say("words-own-for", { word: concept.words[0] ?? "" })}
          placeholder={say("words-own")}
          enterButton={<Button>{say("words-use-it")}</Button>}
          maxLength={60}
          onSearch={(word) => word.trim() && pick(word.trim())}
        />
      </div>
    </article>
  );
}
