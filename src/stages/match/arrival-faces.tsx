import type { Gear } from "@/core/gear/index";
import { GearFace } from "@/ui/gear-face";
import { pictureUrl } from "@/ui/picture-frame";
import type { ArrivedPart } from "./arrival-facts";

/** A picture with what it shows. */
export const ArrivalPicture = ({ sha256, says }: { sha256: string; says: string }) => (
  <figure>
    {/* biome-ignore lint/performance/noImgElement: from the shop's own folder */}
    <img
      src={pictureUrl(sha256, true)}
      alt={says}
      className="aspect-[4/3] w-full border-2 border-base-300 object-cover"
    />
    <figcaption className="hush text-[17px]">{says}</figcaption>
  </figure>
);

/**
 * The old gear as it was measured with the new one laid over it: as it is sold, or with the teeth that were
 * counted.
 */
export function ArrivalFaces({
  faces,
  teeth,
  boreMm,
}: {
  faces: NonNullable<ArrivedPart["faces"]>;
  teeth: number | undefined;
  boreMm: number | undefined;
}) {
  const wrong = teeth !== undefined && teeth >= 4 && Math.round(teeth) !== faces.sold.teeth;
  const came: Gear = wrong ? { ...faces.sold, teeth: Math.round(teeth) } : faces.sold;
  const [under, says] = wrong
    ? [faces.sold, `should be ${faces.sold.teeth} teeth; over it what came, ${came.teeth}`]
    : faces.old
      ? [faces.old, `the old one, ${faces.old.teeth} teeth; over it the new one, ${came.teeth}`]
      : [came, `the new one, ${came.teeth} teeth`];
  return (
    <figure>
      <GearFace
        gear={under}
        marks={{}}
        over={under === came ? undefined : came}
        boreMm={boreMm}
        size={250}
        label={says}
      />
      <figcaption className="text-[18px]">{says}</figcaption>
    </figure>
  );
}
