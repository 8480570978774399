import Link from "next/link";
import type { ComponentProps } from "react";

/**
 * A way to another screen. Nothing is fetched before it is taken: the shop's computer stands near by, and a
 * screen with twenty ways would ask it
 * for twenty screens after every change.
 */
export const Way = (props: Omit<ComponentProps<typeof Link>, "prefetch">) => (
  <Link prefetch={false} {...props} />
);
