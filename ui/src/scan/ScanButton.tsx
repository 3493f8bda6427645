import { Suspense, useEffect, useState } from "react";
import { Button } from "../kit/kit";
import { lazily } from "../kit/lazily";
import * as say from "../words/scan";

const Camera = lazily(
  () => import("./Camera"),
  (module) => module.Camera,
);

/** Whether there is a camera to read codes with. */
function useCamera(): boolean {
  const [there, setThere] = useState(false);
  useEffect(() => {
    let gone = false;
    void navigator.mediaDevices?.enumerateDevices().then(
      (devices) => !gone && setThere(devices.some((device) => device.kind === "videoinput")),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, []);
  return there;
}

/** Reads one code with the camera. A scanner that types needs no button. */
export function ScanButton({ onScan }: { onScan: (code: string) => void }) {
  const camera = useCamera();
  const [open, setOpen] = useState(false);
  if (!camera) return null;
  return (
    <>
      <Button onClick={() => setOpen(true)}>{say.scan}</Button>
      <Suspense fallback={null}>
        {open && (
          <Camera
            onClose={() => setOpen(false)}
            onScan={(code) => {
              setOpen(false);
              onScan(code);
            }}
          />
        )}
      </Suspense>
    </>
  );
}
