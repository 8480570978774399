"use client";

import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { saveCaseMaterial } from "./actions";
import type { LubeView } from "./lube-view";

/** What decides which oil and which solvent may touch it: the plastics and rubbers that are met in cases and seals. */
const MET = ["PA", "POM", "ABS", "PC", "PS", "PP", "NBR", "EPDM", "FKM"] as const;

/** What case and seals are made of, as far as they did not come off as parts. */
export function CaseMadeOf({ job }: Pick<LubeView, "job">) {
  const { run } = useJob();
  return (
    <fieldset className="grid grid-cols-5 gap-1.5">
      <legend className="words">Case and seals are of</legend>
      {MET.map((material) => {
        const on = job.caseMaterials?.includes(material) ?? false;
        return (
          <KeyButton key={material} className="small justify-center !px-1" pressed={on} onPress={() => void run(saveCaseMaterial, { material, on: !on })}>
            {material}
          </KeyButton>
        );
      })}
    </fieldset>
  );
}
