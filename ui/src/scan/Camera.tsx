import { BrowserMultiFormatReader, type IScannerControls } from "@zxing/browser";
import { useEffect, useRef, useState } from "react";
import { Sheet } from "../kit/Sheet";

/** The camera's picture, watched until a code is in it. */
export function Camera({ onScan, onClose }: { onScan: (code: string) => void; onClose: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [trouble, setTrouble] = useState("");
  const latest = useRef(onScan);
  useEffect(() => {
    latest.current = onScan;
  });
  useEffect(() => {
    let controls: IScannerControls | undefined;
    let closed = false;
    const reader = new BrowserMultiFormatReader();
    const watch = async () => {
      if (!video.current) return;
      controls = await reader.decodeFromConstraints({ video: { facingMode: "environment" } }, video.current, (result, _, running) => {
        if (!result || closed) return;
        closed = true;
        running.stop();
        latest.current(result.getText());
      });
      if (closed) controls.stop();
    };
    watch().catch(() => setTrouble("The camera cannot be used: allow it in the browser, or type the number under the bars."));
    return () => {
      closed = true;
      controls?.stop();
    };
  }, []);
  return (
    <Sheet open onClose={onClose} title="Hold the code into the picture">
      <video ref={video} className="w-full rounded-xl mt-3 bg-black" muted playsInline />
      {trouble && <p role="alert" className="mt-3 text-beet font-semibold">{trouble}</p>}
    </Sheet>
  );
}
