import { PairScreen } from "@/shop/door/pair-screen";

export default async function Page({ searchParams }: { searchParams: Promise<{ code?: string }> }) {
  return <PairScreen code={(await searchParams).code?.slice(0, 20) ?? ""} />;
}
