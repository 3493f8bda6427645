import { useEffect, useRef, useState } from "react";
import { Sheet } from "../kit/Sheet";
import { readPicture } from "./codes";
import * as say from "../words/scan";

const LOOK_EVERY = 180;
/** Wide enough for thin bars, small enough to be read several times a second. */
const WIDTH = 720;

/** What the camera sees now, as grey pixels; null while it shows nothing. */
function grey(
  video: HTMLVideoElement,
  canvas: HTMLCanvasElement,
): { pixels: Uint8ClampedArray; width: number; height: number } | null {
  if (video.videoWidth === 0) return null;
  canvas.width = WIDTH;
  canvas.height = Math.round((WIDTH * video.videoHeight) / video.videoWidth);
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) return null;
  context.drawImage(video, 0, 0, canvas.width, canvas.height);
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  const pixels = new Uint8ClampedArray(canvas.width * canvas.height);
  for (let at = 0; at < pixels.length; at += 1)
    pixels[at] = ((data[at * 4] ?? 0) * 3 + (data[at * 4 + 1] ?? 0) * 6 + (data[at * 4 + 2] ?? 0)) / 10;
  return { pixels, width: canvas.width, height: canvas.height };
}

/** The camera's picture, watched until a code is in it. */
export function Camera({ onScan, onClose }: { onScan: (code: string) => void; onClose: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [trouble, setTrouble] = useState("");
  const latest = useRef(onScan);
  useEffect(() => {
    latest.current = onScan;
  });
  useEffect(() => {
    let stream: MediaStream | null = null;
    let closed = false;
    const canvas = document.createElement("canvas");
    const look = setInterval(() => {
      const seen = video.current && stream ? grey(video.current, canvas) : null;
      const code = seen ? readPicture(seen.pixels, seen.width, seen.height) : null;
      if (code === null || closed) return;
      closed = true;
      latest.current(code);
    }, LOOK_EVERY);
    const watch = async () => {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: "environment" } });
      if (!video.current || closed) return stream.getTracks().forEach((track) => track.stop());
      video.current.srcObject = stream;
      await video.current.play();
    };
    watch().catch(() => setTrouble(say.cameraCannotBe));
    return () => {
      closed = true;
      clearInterval(look);
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  return (
    <Sheet open onClose={onClose} title={say.holdCodeInto}>
      <video ref={video} className="w-full rounded-xl mt-3 bg-black" muted playsInline />
      {trouble && (
        <p role="alert" className="mt-3 text-beet font-semibold">
          {trouble}
        </p>
      )}
    </Sheet>
  );
}
