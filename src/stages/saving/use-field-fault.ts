"use client";

import { useEffect, useRef, useState } from "react";
import type { ActionResult } from "./act";
import { useJob } from "./job-context";

/**
 * What was wrong with a form of several fields, said at the field where it came in and not above the screen
 * as well.
 */
export function useFieldFault(): {
  /** what is wrong with a field; null: nothing */
  readonly at: (field: string) => string | null;
  /** what is wrong that belongs to none of these fields */
  readonly elsewhere: (...fields: readonly string[]) => string | null;
  /** takes what an action answered; whether it was taken */
  readonly took: (result: ActionResult) => boolean;
} {
  const { say } = useJob();
  const [fault, setFault] = useState<{ readonly field: string; readonly says: string } | null>(null);
  const shown = useRef(false);
  useEffect(() => {
    shown.current = true;
    return () => {
      shown.current = false;
    };
  }, []);
  return {
    at: (field) => (fault?.field === field ? fault.says : null),
    elsewhere: (...fields) => (fault && !fields.includes(fault.field) ? fault.says : null),
    took: (result) => {
      setFault(result.ok ? null : { field: result.path, says: result.says });
      // what is out of date is said above, with what changed; so is what has no field any more, because the
      // form was left meanwhile
      if (shown.current && !result.ok && !result.stale && !result.again) say(null);
      return result.ok;
    },
  };
}
