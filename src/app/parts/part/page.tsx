import { notFound } from "next/navigation";
import { PartFormScreen } from "@/shop/parts/part-form-screen";
import { partFormView } from "@/shop/parts/part-form-view";

export const dynamic = "force-dynamic";

export default async function Page({
  searchParams,
}: {
  readonly searchParams: Promise<{ readonly number?: string }>;
}) {
  return <PartFormScreen {...((await partFormView((await searchParams).number)) ?? notFound())} />;
}
