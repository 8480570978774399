import { SignInScreen } from "@/shop/door/sign-in-screen";
import { peopleOfShop } from "@/store/people";

export const dynamic = "force-dynamic";

export default async function Page({ searchParams }: { searchParams: Promise<{ then?: string }> }) {
  const { then } = await searchParams;
  // only a path of our own is gone to
  const next = then && /^\/[\w\-/~%.]*$/.test(then) && !then.startsWith("//") ? then : "/";
  return <SignInScreen people={(await peopleOfShop()).map(({ id, name }) => ({ id, name }))} next={next} />;
}
