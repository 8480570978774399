import "@fontsource/barlow-condensed/400.css";
import "@fontsource/barlow-condensed/500.css";
import "@fontsource/barlow-condensed/600.css";
import "@fontsource/barlow-condensed/700.css";
import "@fontsource/ibm-plex-mono/500.css";
import "@fontsource/ibm-plex-mono/600.css";
import "./surface.css";
import type { Metadata } from "next";
import { cookies } from "next/headers";
import { whoAsks } from "@/door/who";
import { TroubleScreen } from "@/shop/state/trouble-screen";
import { shopTrouble } from "@/store/shop-state";
import { AwayBar } from "@/ui/away/away-bar";
import { KeySheet } from "@/ui/key-sheet";

export const metadata: Metadata = { description: "Strip, judge, match, lubricate, rebuild, hand back." };

export default async function Layout({ children }: { children: React.ReactNode }) {
  // asked first: what is built ahead of time has nobody who asks, and must not open a shop
  const { here, session } = await whoAsks();
  const theme = (await cookies()).get("theme")?.value === "night" ? "night" : "day";
  const trouble = await shopTrouble();
  return (
    <html lang="en" data-theme={theme}>
      <body>
        <script src="/awake.js" async />
        {trouble && !trouble.reading ? <TroubleScreen {...trouble} /> : children}
        <AwayBar trouble={trouble} asks={here || session !== undefined} />
        <KeySheet />
      </body>
    </html>
  );
}
