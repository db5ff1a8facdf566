import { App, Button } from "antd";
import { useState } from "react";

import { useConventions, useRemoveConvention, type Convention } from "../api";
import { useShow } from "../app/settings";
import { ConventionDialog } from "./ConventionDialog";

/** Conventions that the student's course has and nobody else. */
export function OwnConventions() {
  const show = useShow();
  const { message } = App.useApp();
  const { data: conventions = [] } = useConventions();
  const remove = useRemoveConvention();
  const [open, setOpen] = useState<"new" | Convention | null>(null);
  const own = conventions.filter(({ record }) => record !== null);
  return (
    <section className="own-conventions" aria-label="conventions of your own">
      <div className="page-head">
        <h2>Conventions of your own</h2>
        <Button onClick={() => setOpen("new")}>Describe one</Button>
      </div>
      {own.length === 0 ? (
        <p className="quiet">
          If your course does it in another way, describe that way here. A sheet that uses it takes
          a copy along, so that its file is whole.
        </p>
      ) : (
        <div className="card">
          {own.map((convention) => (
            <div key={convention.id} className="choice">
              <div>
                <h2>{convention.name}</h2>
                <p className="quiet">{show(convention.words.join(" "))}</p>
              </div>
              <span>
                <Button type="text" onClick={() => setOpen(convention)}>
                  Change
                </Button>
                <Button
                  type="text"
                  onClick={() =>
                    remove.mutate(convention.id, {
                      onError: (problem) => void message.error(problem.message),
                    })
                  }
                >
                  Remove
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
