import { StripScreen } from "@/stages/strip/strip-screen";
import { stripView } from "@/stages/strip/strip-view";
import { found, type JobAddress, titled } from "../address";

export const generateMetadata = titled("Strip");

export default async function Page({ params }: JobAddress) {
  return <StripScreen view={await found(stripView((await params).number))} />;
}
