"use client";

import { useCallback, useEffect, useId, useRef, useState } from "react";
import { z } from "zod";
import { forgetInBrowser, jsonFrom, keepInBrowser, keptInBrowser } from "@/ui/browser-store";
import { capOf, useKey } from "@/ui/keys";
import type { ActionResult } from "./act";
import { useJob } from "./job-context";
import { useKnownWords } from "./use-known-words";
import { useTypedEarly } from "./use-typed-early";
import { whenReleased } from "./when-released";

export interface SavedFieldProps {
  label: string;
  /** the field's name within the job; what is typed is kept under it */
  name: string;
  value: string;
  save: (text: string) => Promise<ActionResult>;
  rows?: number;
  figure?: boolean;
  /** what the job says once a text is saved, where that is not the text itself; null: nothing can be read */
  reads?: (text: string) => string | null;
  type?: "text" | "date" | "number";
  hint?: string;
  /** where the shop is asked what it has heard before, `/api/known/maker` */
  known?: string;
  /** the key that leads into it */
  keyName?: string;
  className?: string;
}

/**
 * What is kept of a field in the browser: what was typed, what the job said then, and what was sent and not
 * answered.
 */
const keptField = z.object({ text: z.string(), base: z.string(), sent: z.array(z.string()).default([]) });

const PAUSE_MS = 450;
const RETRY_MS = 4000;
const MOST_SENT = 20;

/**
 * A field that saves what is typed at once: each stroke is kept in the browser, and sent after a short pause
 * or on leaving the field. After a
 * reload, what had not reached the shop is sent again; if somebody else changed the field meanwhile, both are
 * shown.
 */
export function SavedField({
  label,
  name,
  value,
  save,
  rows,
  figure,
  reads,
  type = "text",
  hint,
  known,
  keyName,
  className = "",
}: SavedFieldProps) {
  const { number, say } = useJob();
  const id = useId();
  const key = `${number}:${name}`;
  const [text, setText] = useState(value);
  const [fault, showFault] = useState<string | null>(null);
  const setFault = useCallback((says: string | null) => whenReleased(() => showFault(says)), []);
  const [theirs, setTheirs] = useState<string | null>(null);
  const base = useRef(value);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const current = useRef(value);
  /** what was sent since the shop last answered: any of it may be what the job says now */
  const sent = useRef<readonly string[]>([]);
  const refused = useRef(false);
  const shown = useRef(false);

  const keep = useCallback(
    (text: string): void =>
      void keepInBrowser(key, JSON.stringify({ text, base: base.current, sent: sent.current })),
    [key],
  );
  const send = useCallback(
    async (said: string) => {
      clearTimeout(timer.current);
      if (said === base.current && !sent.current.length) {
        // back to what the job says: nothing to save, and nothing wrong any more
        setFault(null);
        if (refused.current) say(null);
        refused.current = false;
        return forgetInBrowser(key);
      }
      sent.current = [...sent.current.filter((t) => t !== said), said].slice(-MOST_SENT);
      keep(current.current);
      const result = await save(said);
      refused.current = !result.ok;
      if (result.ok) {
        base.current = said;
        sent.current = [];
        setFault(null);
        if (current.current === said) forgetInBrowser(key);
      } else if (result.again === "now") {
        // setting a field twice is setting it once
        say(null);
        void latestSend.current(current.current);
      } else if (result.again) {
        // the shop will answer again: until then it is tried without being asked
        setFault(result.says);
        timer.current = setTimeout(() => void latestSend.current(current.current), RETRY_MS);
      } else {
        setFault(result.stale ? "Not saved yet: the job was changed elsewhere." : result.says);
        // said at the field, it need not stand above the screen as well; what has no field any more does
        if (shown.current && !result.stale) say(null);
      }
    },
    [key, keep, save, setFault, say],
  );

  const latestSend = useRef(send);
  useEffect(() => {
    latestSend.current = send;
  });
  useEffect(() => {
    shown.current = true;
    return () => {
      shown.current = false;
      clearTimeout(timer.current);
    };
  }, []);

  // what the browser still holds from before a reload: looked at once, when the field appears
  const looked = useRef(false);
  useEffect(() => {
    if (looked.current) return;
    looked.current = true;
    const read = keptField.safeParse(jsonFrom(keptInBrowser(key)));
    if (!read.success) return;
    const kept = read.data;
    if (kept.text === value) return forgetInBrowser(key);
    current.current = kept.text;
    setText(kept.text);
    sent.current = kept.sent;
    // what the job says may be what this field sent without hearing that it arrived
    if (kept.base === value || kept.sent.includes(value)) void send(kept.text);
    else setTheirs(value);
  }, [key, send, value]);

  const latestReads = useRef(reads);
  useEffect(() => {
    latestReads.current = reads;
  });
  // another screen, or another field, changed the job: follow it unless something is being typed here
  useEffect(() => {
    if (value === base.current) return;
    // "6 oz" stands in the field, and the job says its grams
    if (latestReads.current?.(current.current) === value) {
      sent.current = [];
      base.current = current.current;
      setFault(null);
      return forgetInBrowser(key);
    }
    // our own save came back before its answer did, or without one
    if (sent.current.includes(value)) {
      base.current = value;
      if (current.current !== value) return;
      // the job has it: whether its answer ever comes is no matter
      sent.current = [];
      setFault(null);
      forgetInBrowser(key);
      return;
    }
    if (current.current === base.current) {
      base.current = value;
      current.current = value;
      setText(value);
    } else if (current.current !== value) setTheirs(value);
  }, [key, value, setFault]);

  const typed = (said: string): void => {
    setText(said);
    current.current = said;
    keep(said);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void send(said), PAUSE_MS);
  };
  const field = useRef<HTMLInputElement & HTMLTextAreaElement>(null);
  useTypedEarly(field, text, typed);
  useKey(keyName, () => field.current?.focus(), keyName !== undefined, label);
  const heard = useKnownWords(known);
  const read = reads?.(text) ?? null;
  const means = read !== null && Number(read) !== Number(text.replace(",", ".")) ? `= ${read}` : undefined;
  const under = fault ?? [means, hint].filter(Boolean).join(" · ");
  const shared = {
    id,
    ref: field,
    value: text,
    "aria-keyshortcuts": keyName,
    "aria-invalid": fault ? true : undefined,
    "aria-describedby": under ? `${id}-says` : undefined,
    className: `field ${figure ? "figure" : ""}`,
    onChange: (e: { target: { value: string } }) => {
      typed(e.target.value);
      heard.ask(e.target.value);
    },
    onFocus: () => heard.ask(current.current),
    onBlur: () => void send(current.current),
  };
  return (
    <div className={className}>
      {keyName && (
        <span aria-hidden="true" className="cap mini">
          {capOf(keyName)}
        </span>
      )}
      <label className={keyName ? "words !inline" : "words"} htmlFor={id}>
        {label}
      </label>
      {rows ? (
        <textarea rows={rows} {...shared} />
      ) : (
        <input type={type} autoComplete="off" list={known ? `${id}-list` : undefined} {...shared} />
      )}
      {known && (
        <datalist id={`${id}-list`}>
          {heard.words.map((word) => (
            <option key={word} value={word} />
          ))}
        </datalist>
      )}
      {under && (
        <p
          id={`${id}-says`}
          role={fault ? "alert" : undefined}
          className={fault ? "text-[18px] font-semibold text-error" : "hush text-[17px]"}
        >
          {under}
        </p>
      )}
      {theirs !== null && theirs !== text && (
        <div role="alert" className="says danger mt-1">
          The job says now: “{theirs || "nothing"}”. You typed: “{text}”.
          <div className="mt-1 flex gap-2">
            <button
              type="button"
              className="key-button"
              onClick={() => {
                base.current = theirs;
                setTheirs(null);
                void send(text);
              }}
            >
              Keep mine
            </button>
            <button
              type="button"
              className="key-button"
              onClick={() => {
                base.current = theirs;
                current.current = theirs;
                setText(theirs);
                setTheirs(null);
                forgetInBrowser(key);
              }}
            >
              Take theirs
            </button>
          </div>
        </div>
      )}
    </div>
  );
}
