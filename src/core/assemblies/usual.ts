import type { Assembly } from "../job/assembly";
import { adjuster } from "./usual/adjuster";
import { ballValve } from "./usual/ball-valve";
import { bearingInItsSeat } from "./usual/bearing-in-its-seat";
import { beltOnPulleys } from "./usual/belt-on-pulleys";
import { blockedOpening } from "./usual/blocked-opening";
import { bonded } from "./usual/bonded";
import { brassInserts } from "./usual/brass-inserts";
import { bush } from "./usual/bush";
import { carbonBrushes } from "./usual/carbon-brushes";
import { circlip } from "./usual/circlip";
import { closingFace } from "./usual/closing-face";
import { cordGrip } from "./usual/cord-grip";
import { discSprings } from "./usual/disc-springs";
import { earthConnection } from "./usual/earth-connection";
import { flangeWithORing } from "./usual/flange-with-o-ring";
import { gasketJoint } from "./usual/gasket-joint";
import { gearsThatMeetAsItCloses } from "./usual/gears-that-meet-as-it-closes";
import { grubScrew } from "./usual/grub-screw";
import { guard } from "./usual/guard";
import { halfOverDowels } from "./usual/half-over-dowels";
import { hooks } from "./usual/hooks";
import { hoseOnItsSpigot } from "./usual/hose-on-its-spigot";
import { hubTurnedToMesh } from "./usual/hub-turned-to-mesh";
import { jackedOff } from "./usual/jacked-off";
import { keyInItsWay } from "./usual/key-in-its-way";
import { limitSwitch } from "./usual/limit-switch";
import { nutOnAShaft } from "./usual/nut-on-a-shaft";
import { oneWayDrive } from "./usual/one-way-drive";
import { partOverDowels } from "./usual/part-over-dowels";
import { pinThroughHub } from "./usual/pin-through-hub";
import { pivotPin } from "./usual/pivot-pin";
import { pressFit } from "./usual/press-fit";
import { screwedOutBesides } from "./usual/screwed-out-besides";
import { selfTappingScrews } from "./usual/self-tapping-screws";
import { setAsItStood } from "./usual/set-as-it-stood";
import { shaftSeal } from "./usual/shaft-seal";
import { snapTabs } from "./usual/snap-tabs";
import { splinedHub } from "./usual/splined-hub";
import { springAndBall } from "./usual/spring-and-ball";
import { springHooked } from "./usual/spring-hooked";
import { tabWasher } from "./usual/tab-washer";
import { taperFit } from "./usual/taper-fit";
import { threadedHead } from "./usual/threaded-head";
import { timing } from "./usual/timing";
import { toothedBelt } from "./usual/toothed-belt";
import { turnedOn } from "./usual/turned-on";
import { warmFit } from "./usual/warm-fit";
import { washerStack } from "./usual/washer-stack";
import { washersHeldByGrease } from "./usual/washers-held-by-grease";
import { whatTurns } from "./usual/what-turns";
import { wiresAtTerminals } from "./usual/wires-at-terminals";
import { wiresUnderACover } from "./usual/wires-under-a-cover";

/** What is known of how things go together, in the order in which it is looked at where several apply. */
export const USUAL: readonly Assembly[] = [
  pinThroughHub, gearsThatMeetAsItCloses, hubTurnedToMesh, splinedHub, halfOverDowels, partOverDowels, closingFace, wiresUnderACover, flangeWithORing, gasketJoint, shaftSeal, washersHeldByGrease, washerStack, discSprings, springHooked, springAndBall, ballValve, oneWayDrive, carbonBrushes, beltOnPulleys, toothedBelt, timing, threadedHead, screwedOutBesides, circlip, pressFit, bearingInItsSeat, warmFit, bush, keyInItsWay, taperFit, selfTappingScrews, brassInserts, wiresAtTerminals, earthConnection, cordGrip, hooks, snapTabs, turnedOn, bonded, jackedOff, limitSwitch, setAsItStood, adjuster, nutOnAShaft, tabWasher, blockedOpening, guard, hoseOnItsSpigot, grubScrew, pivotPin, whatTurns,
]; // biome-ignore format: a list
