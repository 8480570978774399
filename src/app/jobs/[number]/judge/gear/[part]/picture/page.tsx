import { gearBenchOf } from "@/core/job/address";
import { JobScreen } from "@/stages/frame/job-screen";
import { PhotoBench } from "@/stages/judge/photo/photo-bench";
import { photoView } from "@/stages/judge/photo/photo-view";
import { KeyLink } from "@/ui/key-link";
import { found, type PartAddress, partAddress } from "../../../../address";

export default async function Page({ params }: PartAddress) {
  const { number, part } = partAddress(await params);
  const { frame, ...view } = await found(photoView(number, part));
  const head = (
    <KeyLink keyName="G" href={gearBenchOf(number, part)} className="small">
      Gear bench
    </KeyLink>
  );
  return (
    <JobScreen place="Teeth in a picture" frame={frame} showing="judge" head={head} mat={null}>
      <PhotoBench key={part} part={part} {...view} />
    </JobScreen>
  );
}
