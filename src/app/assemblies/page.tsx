import { USUAL } from "@/core/assemblies/usual";
import { AssembliesScreen } from "@/shop/assemblies/assemblies-screen";
import { ownAssemblies } from "@/store/assemblies";

export const dynamic = "force-dynamic";

export default async function Page() {
  return <AssembliesScreen own={await ownAssemblies()} usual={USUAL} />;
}
