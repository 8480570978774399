"use client";

import { useEffect, useRef, useState } from "react";
import { type Camera, type CameraKind, cameraFrom, cameraKind, cameraKinds } from "@/bench/camera";
import { keepInBrowser, keptInBrowser } from "@/ui/browser-store";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { useLatest } from "@/ui/use-latest";
import { type KeptPicture, type PicturePlace, usePictures } from "./picture-queue";

/**
 * The camera over the bench: live, simulated, or a file that is picked, dropped or pasted. One key takes the
 * picture.
 */
export function TakePicture({
  where,
  onTaken,
  onArrived,
  onClose,
  hint = "",
  ghost,
}: {
  where: PicturePlace;
  /** the picture is kept in the browser and on its way */
  onTaken: () => void;
  /** the shop has it, under this name */
  onArrived?: (kept: KeptPicture) => void;
  onClose: () => void;
  hint?: string;
  /** an earlier picture to lay over the live one, so that both are taken from the same place */
  ghost?: string;
}) {
  useClose(onClose);
  const { take } = usePictures();
  const video = useRef<HTMLDivElement>(null);
  // a hand that is quicker than the camera waits for it, and is not told that there is none
  const camera = useRef<Promise<Camera | null>>(Promise.resolve(null));
  const file = useRef<HTMLInputElement>(null);
  const [kind, setKind] = useState<CameraKind>(() =>
    cameraKind(typeof window === "undefined" ? null : keptInBrowser("camera")),
  );
  const [says, setSays] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [ghosting, setGhosting] = useState(false);

  useEffect(() => {
    let gone = false;
    setSays(null);
    const opened = cameraFrom(kind, hint);
    camera.current = opened.open().then(
      (view) => {
        if (gone) {
          opened.close();
          return null;
        }
        video.current?.replaceChildren(view);
        return opened;
      },
      (e: Error) => {
        setSays(e.message);
        return null;
      },
    );
    return () => {
      gone = true;
      opened.close();
      camera.current = Promise.resolve(null);
    };
  }, [kind, hint]);

  const send = async (blob: Blob): Promise<void> => {
    setBusy(true);
    await take(blob, where, onArrived);
    setBusy(false);
    onTaken();
  };
  const shoot = async (): Promise<void> => {
    setBusy(true);
    const open = await camera.current;
    if (open) return send(await open.shoot());
    setBusy(false);
    setSays((now) => now ?? "No camera is open. Choose another one, or pick a file.");
  };
  const latestSend = useLatest(send);
  useEffect(() => {
    const pasted = (e: ClipboardEvent): void => {
      const item = [...(e.clipboardData?.files ?? [])][0];
      if (item) void latestSend.current(item);
    };
    window.addEventListener("paste", pasted);
    return () => window.removeEventListener("paste", pasted);
  }, [latestSend]);

  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: dropping a file is a third way beside the camera and the file button
    <div
      className="flex h-full min-h-[260px] flex-col border-2 border-base-content bg-[#10201f]"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const dropped = e.dataTransfer.files[0];
        if (dropped) void send(dropped);
      }}
    >
      <div className="relative min-h-0 flex-1 overflow-hidden">
        <div ref={video} className="h-full [&>*]:h-full [&>*]:w-full [&>*]:object-cover" />
        {ghost && ghosting && (
          // biome-ignore lint/performance/noImgElement: laid over the live picture
          <img
            src={ghost}
            alt="earlier picture, laid over"
            className="pointer-events-none absolute inset-0 h-full w-full object-cover opacity-45 mix-blend-screen"
          />
        )}
      </div>
      {says && (
        <p role="alert" className="bg-base-100 px-3 py-2 text-[19px] font-semibold text-error">
          {says}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-1.5 bg-base-100 p-1.5">
        <KeyButton
          keyName="P"
          onPress={() => void shoot()}
          disabled={busy}
          look="main"
          className="!min-h-[50px] !text-[21px]"
        >
          {busy ? "Saving …" : "Take it"}
        </KeyButton>
        <KeyButton keyName="U" onPress={() => file.current?.click()}>
          File
        </KeyButton>
        <label className="sr-only" htmlFor="camera-kind">
          Camera
        </label>
        <select
          id="camera-kind"
          className="field !w-auto !min-h-[50px] !text-[18px]"
          value={kind}
          onChange={(e) => {
            keepInBrowser("camera", e.target.value);
            setKind(cameraKind(e.target.value));
          }}
        >
          {cameraKinds.map((c) => (
            <option key={c.kind} value={c.kind}>
              {c.says}
            </option>
          ))}
        </select>
        {ghost && (
          <KeyButton keyName="G" onPress={() => setGhosting(!ghosting)} pressed={ghosting}>
            Ghost
          </KeyButton>
        )}
        <KeyButton keyName="X" onPress={onClose}>
          Close
        </KeyButton>
        <input
          ref={file}
          type="file"
          aria-label="Picture file"
          accept="image/jpeg,image/png,image/webp"
          className="sr-only"
          onChange={(e) => {
            const picked = e.target.files?.[0];
            if (picked) void send(picked);
            e.target.value = "";
          }}
        />
      </div>
    </div>
  );
}
