import { PeopleScreen } from "@/shop/people/people-screen";
import { peopleView } from "@/shop/people/people-view";

export const dynamic = "force-dynamic";

export default async function Page() {
  return <PeopleScreen {...(await peopleView())} />;
}
