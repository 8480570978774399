import { KeyLink } from "@/ui/key-link";

/** A place of a stage that has several: its key, its name, and where it is below the stage. */
export interface StagePlace {
  readonly place: string;
  readonly keyName: string;
  readonly says: string;
  readonly path: string;
}

/** The places of a stage, a key apart, in the head of each. */
export function StagePlaces({
  stage,
  label,
  places,
  number,
  at,
}: {
  stage: string;
  label: string;
  places: readonly StagePlace[];
  number: string;
  at?: string;
}) {
  return (
    <nav aria-label={label} className="flex gap-1.5">
      {places.map((p) => (
        <KeyLink
          key={p.place}
          keyName={p.keyName}
          href={`/jobs/${number}/${stage}${p.path}`}
          current={p.place === at}
          className="small"
        >
          {p.says}
        </KeyLink>
      ))}
    </nav>
  );
}
