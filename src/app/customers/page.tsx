import { mayDo } from "@/core/door/role";
import { whoAsks } from "@/door/who";
import { CustomersScreen } from "@/shop/customers/customers-screen";
import { customersLike } from "@/store/forget";
import { shopSettings } from "@/store/settings";

export const dynamic = "force-dynamic";

export default async function Page({ searchParams }: { searchParams: Promise<{ q?: string }> }) {
  const q = (await searchParams).q?.slice(0, 80) ?? "";
  const isOwner = mayDo((await whoAsks()).role, "owner");
  return (
    <CustomersScreen
      q={q}
      customers={await customersLike(q)}
      months={(await shopSettings()).forgetAfterMonths}
      isOwner={isOwner}
    />
  );
}
