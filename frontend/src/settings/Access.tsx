import { useMutation, useQuery } from "@tanstack/react-query";
import { App, Button } from "antd";
import { useState } from "react";

import { body, client, type Schemas } from "../api";
import { Dialog } from "../common/overlays";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

const HOLDS_MINUTES = 15;

/** Who may come in from beyond this machine; nothing where nobody can. */
export function Access() {
  const { message } = App.useApp();
  const showError = useShowError();
  const [code, setCode] = useState<Schemas["Code"] | null>(null);
  const { data } = useQuery({
    queryKey: ["access"],
    queryFn: () => body(client.GET("/api/access")),
    staleTime: Infinity,
  });

  const renew = useMutation({
    mutationFn: () => body(client.POST("/api/access/code", {})),
    onSuccess: setCode,
    onError: showError,
  });
  const endAll = useMutation({
    mutationFn: () => body(client.POST("/api/access/end-sessions", {})),
    onSuccess: () => void message.success(say("access-ended")),
    onError: showError,
  });
  if (!data?.gated) return null;
  return (
    <section className="access">
      <h2>{say("access-title")}</h2>
      <div className="card">
        <div className="choice">
          <p className="quiet">
            {say("access-words", { minutes: String(code?.minutes ?? HOLDS_MINUTES) })}
          </p>
          <Button loading={renew.isPending} onClick={() => renew.mutate()}>
            {say("access-new-code")}
          </Button>
        </div>
        <div className="choice">
          <p className="quiet">{say("access-leave-words")}</p>
          <span className="access-acts">
            <Button loading={endAll.isPending} onClick={() => endAll.mutate()}>
              {say("access-end-all")}
            </Button>
            <Button onClick={() => void leave()}>{say("access-leave")}</Button>
          </span>
        </div>
      </div>
      {code && (
        <Dialog title={say("access-code")} width={420} onCancel={() => setCode(null)}>
          <img className="access-code" src={code.picture} alt="" />
          <p>{say("access-scan", { address: code.address })}</p>
        </Dialog>
      )}
    </section>
  );
}

async function leave() {
  await fetch("/leave", { method: "POST", redirect: "manual" });
  window.location.assign("/enter");
}
