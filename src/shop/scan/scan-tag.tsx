"use client";

import jsQR from "jsqr";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { z } from "zod";
import { jobNumberFrom } from "@/core/take-in/tag-code";
import { askShop, whatFailed } from "@/ui/ask-shop";
import { focusNow } from "@/ui/focus-now";
import { useLatest } from "@/ui/use-latest";

/** How often the camera's picture is searched for a code, ms. */
const LOOK_MS = 200;

/**
 * Opens the job whose tag is held before the camera, read by a scanner that types, or whose number is typed.
 */
export function ScanTag() {
  const router = useRouter();
  const video = useRef<HTMLVideoElement>(null);
  const [typed, setTyped] = useState("");
  const [says, setSays] = useState<string | null>(null);
  const [camera, setCamera] = useState("Opening the camera …");
  /** Whether the text named a job; whether the shop has one of that number is asked then. */
  const open = (text: string): boolean => {
    const number = jobNumberFrom(text);
    if (!number) {
      setSays(
        `“${text.slice(0, 60)}” is no job of this shop: a tag's code leads to one, or type a number like 0142.`,
      );
      return false;
    }
    void askShop(`/api/jobs/${number}/version`, z.object({ version: z.int() })).then(
      (job) => (job ? router.push(`/jobs/${number}`) : setSays(`There is no job ${number} here.`)),
      (e) => setSays(whatFailed(e, "Not looked up", "Try again.")),
    );
    return true;
  };
  const latest = useLatest(open);
  useEffect(() => {
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setInterval> | undefined;
    let gone = false;
    const canvas = document.createElement("canvas");
    const look = (): void => {
      const el = video.current;
      const pen = canvas.getContext("2d", { willReadFrequently: true });
      if (!el?.videoWidth || !pen) return;
      [canvas.width, canvas.height] = [640, Math.round((640 * el.videoHeight) / el.videoWidth)];
      pen.drawImage(el, 0, 0, canvas.width, canvas.height);
      const found = jsQR(
        pen.getImageData(0, 0, canvas.width, canvas.height).data,
        canvas.width,
        canvas.height,
      );
      if (found && latest.current(found.data)) clearInterval(timer);
    };
    const asked = navigator.mediaDevices?.getUserMedia({ video: { facingMode: "environment" } });
    (asked ?? Promise.reject()).then(
      (s) => {
        stream = s;
        if (gone || !video.current) return s.getTracks().map((t) => t.stop());
        video.current.srcObject = s;
        void video.current.play();
        setCamera("Hold the tag in front of the camera.");
        timer = setInterval(look, LOOK_MS);
      },
      () => setCamera("No camera found here. A scanner that types, or the keyboard, will do."),
    );
    return () => {
      gone = true;
      clearInterval(timer);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, [latest]);
  return (
    <div className="grid grid-cols-2 gap-8 p-6">
      <div className="flex flex-col gap-3">
        <div className="aspect-[4/3] overflow-hidden border-2 border-base-content bg-[#10201f]">
          <video ref={video} muted playsInline className="h-full w-full object-cover" />
        </div>
        <p className="text-[21px]">{camera}</p>
      </div>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (!open(typed)) setTyped("");
        }}
      >
        <label className="words" htmlFor="tag">
          Number on the tag
        </label>
        <input
          id="tag"
          className="field figure !text-[34px]"
          autoComplete="off"
          placeholder="0142"
          value={typed}
          ref={focusNow}
          onChange={(e) => setTyped(e.target.value)}
        />
        <button type="submit" className="key-button main justify-center">
          Open the job
        </button>
        {says && (
          <p role="alert" className="says danger text-[22px] font-semibold">
            {says}
          </p>
        )}
      </form>
    </div>
  );
}
