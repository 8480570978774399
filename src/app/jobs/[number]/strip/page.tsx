import { StripScreen } from "@/stages/strip/strip-screen";
import { stripView } from "@/stages/strip/strip-view";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  return <StripScreen view={await found(stripView((await params).number))} />;
}
