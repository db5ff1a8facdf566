import { Button } from "antd";
import { useState } from "react";

import { useConventions, useRemoveConvention, type Convention } from "../api";
import { ConventionDialog } from "./ConventionDialog";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

/** Conventions that the student's course has and nobody else. */
export function OwnConventions() {
  const showError = useShowError();
  const { data: conventions = [] } = useConventions();
  const remove = useRemoveConvention();
  const [open, setOpen] = useState<"new" | Convention | null>(null);
  const own = conventions.filter(({ record }) => record !== null);
  return (
    <section className="own-conventions" aria-label={say("settings-own-conventions-list")}>
      <div className="page-head">
        <h2>{say("settings-own-conventions")}</h2>
        <Button onClick={() => setOpen("new")}>{say("settings-describe-one")}</Button>
      </div>
      {own.length === 0 ? (
        <p className="quiet">{say("settings-own-conventions-why")}</p>
      ) : (
        <div className="card">
          {own.map((convention) => (
            <div key={convention.id} className="choice">
              <div>
                <h2>{convention.name}</h2>
                <p className="quiet">{convention.words.join(" ")}</p>
              </div>
              <span>
                <Button type="text" onClick={() => setOpen(convention)}>
                  {say("derived-change")}
                </Button>
                <Button
                  type="text"
                  onClick={() =>
                    remove.mutate(convention.id, {
                      onError: showError,
                    })
                  }
                >
                  {say("sheet-remove")}
                </Button>
              </span>
            </div>
          ))}
        </div>
      )}
      {open && (
        <ConventionDialog convention={open === "new" ? null : open} onClose={() => setOpen(null)} />
      )}
    </section>
  );
}
