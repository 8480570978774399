export const dynamic = "force-dynamic";

/** Nothing but the layout: what the bench measures other pages against. */
export default function Page() {
  return <main />;
}
