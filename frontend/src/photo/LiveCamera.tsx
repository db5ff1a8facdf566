import { Button } from "antd";
import { useEffect, useEffectEvent, useRef, useState } from "react";

import { say } from "../voice";

interface Props {
  onTaken: (picture: Blob) => void;
  /** Told why, where the camera cannot be used; empty where it was left. */
  onClose: (problem: string) => void;
}

/** As much as the camera has, and the one that looks away from the face. */
const WANTED = { video: { facingMode: "environment", width: { ideal: 2560 } } };
const QUALITY = 0.95;

/** What the camera sees, with a line to hold the edge on. */
export function LiveCamera({ onTaken, onClose }: Props) {
  const video = useRef<HTMLVideoElement>(null);
  const [ready, setReady] = useState(false);
  const fail = useEffectEvent((problem: unknown) => {
    const why = problem instanceof Error ? problem.message : String(problem);
    onClose(say("photo-no-camera", { why }));
  });
  useEffect(() => {
    let stream: MediaStream | null = null;
    let left = false;
    const stop = () => stream?.getTracks().forEach((track) => track.stop());
    navigator.mediaDevices.getUserMedia(WANTED).then(
      (found) => {
        stream = found;
        if (left) stop();
        else if (video.current) video.current.srcObject = found;
      },
      (problem: unknown) => {
        if (!left) fail(problem);
      },
    );
    return () => {
      left = true;
      stop();
    };
  }, []);
  function take() {
    const seen = video.current;
    if (!seen) return;
    const canvas = document.createElement("canvas");
    canvas.width = seen.videoWidth;
    canvas.height = seen.videoHeight;
    canvas.getContext("2d")?.drawImage(seen, 0, 0);
    canvas.toBlob((picture) => picture && onTaken(picture), "image/jpeg", QUALITY);
  }
  return (
    <div className="live-camera">
      <div className="live-picture">
        <video
          ref={video}
          autoPlay
          muted
          playsInline
          aria-label={say("photo-live")}
          onLoadedData={() => setReady(true)}
        />
        <span className="live-edge" />
      </div>
      <p className="quiet">{say("photo-hold")}</p>
      <p className="take-ways">
        <Button size="large" type="primary" disabled={!ready} onClick={take}>
          {say("photo-take-it")}
        </Button>
        <Button size="large" onClick={() => onClose("")}>
          {say("photo-another-way")}
        </Button>
      </p>
    </div>
  );
}
