import { CameraOutlined } from "@ant-design/icons";
import { Alert, Button } from "antd";
import { useRef, useState, type DragEvent } from "react";

import { useAtBench } from "../bench/AtBench";
import { DRAWN } from "../common/icons";
import { PickedFile } from "../common/PickedFile";
import { say } from "../voice";
import { LiveCamera } from "./LiveCamera";
import { useSnapshot } from "./queries";

interface Props {
  onTaken: (picture: Blob) => void;
}

/** Pictures that can be read everywhere; a phone makes such ones of its own sort. */
const PICTURES = "image/jpeg,image/png";

/** A live picture needs a page that nobody can listen to; there is none without a camera. */
const canSee = () => window.isSecureContext && "mediaDevices" in navigator;
/** Whether a finger works the page: then the camera of the device opens with a file. */
const byTouch = () => window.matchMedia("(pointer: coarse)").matches;

/** Where a picture comes from: a camera, a file, or the simulated camera of the bench. */
export function TakePicture({ onTaken }: Props) {
  const [live, setLive] = useState(false);
  const [refused, setRefused] = useState("");
  const file = useRef<HTMLInputElement>(null);
  const camera = useRef<HTMLInputElement>(null);
  const own = canSee() && !byTouch();
  function drop(event: DragEvent) {
    event.preventDefault();
    const dropped = event.dataTransfer.files[0];
    if (dropped) onTaken(dropped);
  }
  if (live)
    return (
      <LiveCamera
        onTaken={onTaken}
        onClose={(problem) => {
          setRefused(problem);
          setLive(false);
        }}
      />
    );
  return (
    <div className="take-picture" onDragOver={(event) => event.preventDefault()} onDrop={drop}>
      <p>{say("photo-how-to-take-it")}</p>
      {refused && <Alert type="warning" showIcon title={refused} />}
      <PickedFile
        input={file}
        label={say("photo-a-picture")}
        accept={PICTURES}
        onPicked={onTaken}
      />
      <PickedFile
        input={camera}
        label={say("photo-from-camera")}
        accept={PICTURES}
        camera
        onPicked={onTaken}
      />
      <p className="take-ways">
        <BenchCamera onTaken={onTaken} />
        <Button
          size="large"
          icon={<CameraOutlined {...DRAWN} />}
          onClick={() => (own ? setLive(true) : camera.current?.click())}
        >
          {say("photo-with-the-camera")}
        </Button>
        <Button size="large" onClick={() => file.current?.click()}>
          {say("photo-choose")}
        </Button>
      </p>
      <p className="quiet">{say("photo-or-drop")}</p>
    </div>
  );
}

/** At the simulated bench: its camera, which takes the tool as it stands. */
function BenchCamera({ onTaken }: Props) {
  const bench = useAtBench();
  const snapshot = useSnapshot();
  const [shot, setShot] = useState(() => Date.now() % 1_000_000);
  if (!bench?.standing || !bench.standing.instrument.traits.fine_scale) return null;
  const { simulated } = bench.standing;
  return (
    <>
      <Button
        size="large"
        type="primary"
        loading={snapshot.isPending}
        onClick={() => {
          snapshot.mutate({ simulated, shot }, { onSuccess: onTaken });
          setShot(shot + 1);
        }}
      >
        {say("photo-of-the-bench")}
      </Button>
      {snapshot.error && <Alert type="error" showIcon title={snapshot.error.message} />}
    </>
  );
}
