import { describe, expect, it } from "vitest";
import { KIND_PHRASES } from "./line/lexicon";
import { lineAnswer } from "./line-answer";

/**
 * Lines as they are said at the bench, and what came off: how many of each kind, with what is told of them;
 * behind a bar, kinds that may be counted or not. "?" where a doubt is as right as an answer. Everything else
 * is tools, ways, what stays, other units, what was put on for a while and conditions of its return: none of
 * it counts.
 */
const SPOKEN: readonly (readonly [says: string, cameOff: string, may?: "?"])[] = [
  ["prised off with a plastic spudger", ""],
  ["two small screwdrivers under the rim", "", "?"],
  ["used a 7 mm nut driver", ""],
  ["2 knobs, switch under it", "", "?"],
  ["2 screws, cam mark faces the roller", "2 screw"],
  ["nut 13 two turns back was locked with a tab washer", "1 nut", "?"],
  ["lock nut, stood two turns out", "1 nut"],
  ["2 spade terminals red and white", "2 plug"],
  ["pulled off by hand, two flats", "", "?"],
  ["spring pin lifts, pulls out", ""],
  ["3 screws, leave the glue 24 h", "3 screw"],
  ["glued on, let it set 10 minutes", ""],
  ["jam nut 50 left alone, unscrews counting 7 turns", ""],
  ["2 bearings pressed on, shims both ends", "2 washer", "?"],
  ["crank pin in the slot", "", "?"],
  ["2 pillow blocks 4 bolts", "4 screw", "?"],
  ["bell seal on it, square end", "1 seal"],
  ["nut, cone, rubber", "1 nut", "?"],
  ["belt off to the left", "1 belt"],
  ["packing nut 1/2 turn loose, pushed down", ""],
  ["reverse nut, splined", "1 nut LH"],
  ["lifts off the drive pins", ""],
  ["7 bolts, 1 dowel stuck in the cover", "7 screw", "?"],
  ["clevis pin with r-clip", "1 pin, 1 clip"],
  ["plug, spring, ball, order ball first", "1 plug, 1 spring, 1 ball", "?"],
  ["4 screws M4x12, 3 mm allen key", "4 screw M4 12mm"],
  ["2 nuts 10 mm, ring spanner", "2 nut"],
  ["puller with three legs", ""],
  ["bearing puller on it, then it slid", ""],
  ["clamped the rotor in the vice", ""],
  ["long nose pliers, spring off its hook", "1 spring", "?"],
  ["screwdriver blade between the halves", ""],
  ["strap wrench round the drum", ""],
  ["drift from below, two taps", ""],
  ["snap ring pliers and a magnet", ""],
  ["M6 bolt as a puller", "", "?"],
  ["3 screws T10, magnet bit", "3 screw TX10"],
  ["punched out the roll pin 3x16 with a 2.5 punch", "1 pin"],
  ["socket 13, nut M8", "1 nut M8"],
  ["held by three hooks at the back", ""],
  ["sits over a dowel", ""],
  ["drops onto two pins of the carrier", ""],
  ["the tongue fits into the slot", ""],
  ["runs in two bushes", ""],
  ["key of the shaft stays in", ""],
  ["bearing stays on the shaft", ""],
  ["guided by 2 ribs", ""],
  ["rubs against the spring of the brake", ""],
  ["lines up with the mark on the housing", ""],
  ["between the two bearings", "", "?"],
  ["its pin engages the fork", ""],
  ["arm hooks under the spring", ""],
  ["hole in the bracket over the stud", ""],
  ["meshes with the worm", ""],
  ["newer models have three screws", ""],
  ["on early ones a split pin", ""],
  ["2 screws, the next version has 4", "2 screw"],
  ["some have a shim here", ""],
  ["instead of the E-clip a circlip on later units", "", "?"],
  ["screws put back in so they stay together", ""],
  ["nut run back on two turns", ""],
  ["cover back on with one screw for now", "", "?"],
  ["circlip back in its groove to not lose it", ""],
  ["new gasket when it goes back", "", "?"],
  ["2 M5x20, snug plus a quarter turn", "2 screw M5"],
  ["o-ring, grease it on the way back", "1 o-ring"],
  ["don't overtighten", ""],
  ["gasket, renew", "1 gasket new"],
  ["4 screws, thread lock on all", "4 screw"],
  ["check the lip seal while it is open", "", "?"],
  ["tighten crosswise", ""],
  ["do the two long ones last", "", "?"],
  ["five screws, four short one long", "5 screw"],
  ["six screws: two M4x30 and four M4x12", "6 screw"],
  ["4 torx 10, one under the label", "4 screw", "?"],
  ["three bolts with a washer each", "3 screw, 3 washer"],
  ["two screws left two right", "4 screw"],
  ["3 screws in front and 3 behind", "6 screw"],
  ["8 screws, 4 per side", "8 screw"],
  ["one washer each side of the gear", "2 washer", "?"],
  ["2 washers on top, 1 underneath", "3 washer"],
  ["a thick washer, then the gear, then a thin one", "2 washer", "?"],
  ["two circlips, one at each end", "2 circlip"],
  ["nut, washer, spring washer, in that order", "1 nut, 1 washer, 1 lock-washer"],
  ["pair of springs, one stronger", "2 spring", "?"],
  ["7 screws T15 of which 3 are longer", "7 screw TX15"],
  ["4 M3x8 screws. 2 M3x12 screws", "6 screw"],
  ["4 screws, the rear two with star washers", "4 screw, 2 lock-washer"],
  ["both bolts with nuts behind", "2 screw, 2 nut"],
  ["2 screws hold the clamp", "2 screw"],
  ["the four housing screws", "4 screw"],
  ["three screws and the earth wire", "3 screw", "?"],
  ["17 nut", "1 nut", "?"],
  ["8 mm nut off", "1 nut"],
  ["3 hex bolts 10 mm heads", "3 screw", "?"],
  ["m5 nut with 8 mm across flats", "1 nut M5"],
  ["2 self tappers 3.5 by 13", "2 screw 13mm"],
  ["roll pin 3 by 20", "1 pin 20mm"],
  ["M6 by 30, two off", "2 screw M6 30mm"],
  ["dust cap", ""],
  ["retaining plate, 3 screws", "3 screw"],
  ["spring cup and spring", "1 spring"],
  ["rubber sleeve", ""],
  ["brush cap, brush, spring", "1 brush, 1 spring"],
  ["brush holder", ""],
  ["bearing cover with 3 screws", "3 screw"],
  ["gear with its key", "1 key", "?"],
  ["belt guard", ""],
  ["belt tensioner spring", "1 spring", "?"],
  ["plug cover", ""],
  ["spring plate", ""],
  ["key switch", ""],
  ["seal carrier", ""],
  ["clamp plate, 2 M4", "2 screw"],
  ["needle cage", ""],
  ["chuck screw, reverse, phillips 2", "1 screw LH", "?"],
  ["left hand nut 19 mm", "1 nut LH"],
  ["spindle nut tightens anticlockwise", "1 nut LH"],
  ["fan nut comes off clockwise", "1 nut LH"],
  ["centre screw unscrews clockwise", "1 screw LH"],
  ["nut, normal thread", "1 nut"],
  ["bolt undoes anticlockwise", "1 screw"],
  ["nut undoes the wrong way round", "1 nut LH"],
  ["red to + black to -", ""],
  ["brown on 4, blue on 2", ""],
  ["black to the switch, white to the motor", ""],
  ["two plugs, motor and lamp", "2 plug"],
  ["the connector of the display", "1 plug"],
  ["yellow to L, 2 screws", "2 screw"],
  ["washer, raised side to the bearing", "1 washer"],
  ["seal, spring side in", "1 seal"],
  ["bearing 608, shield outwards", "1 bearing"],
  ["belleville dish up", "1 disc-spring"],
  ["circlip sharp edge out", "1 circlip"],
  ["1 thrust washer, steel side to the gear, 1 plain washer", "1 thrust-washer, 1 washer"],
  ["unhooks at the front, then lifts", ""],
  ["quarter turn and off", ""],
  ["comes away by hand", ""],
  ["slides out to the left", ""],
  ["tilt and lift", ""],
  ["knocked the pin out", "1 pin", "?"],
  ["pressed out the bearing", "1 bearing"],
  ["pulls out with its shaft", ""],
  ["spring pops out, careful", "1 spring", "?"],
  ["unsoldered two leads", "", "?"],
  ["heated with a hair dryer until it let go", ""],
  ["turned by hand until the pin faces up", ""],
  ["belt off", "1 belt"],
  ["pulled the two brushes", "2 brush"],
  ["4 screws held it", "4 screw", "?"],
  ["held on with 3 torx 20", "3 screw TX20"],
  ["2 tabs snap over the edge", ""],
  ["the two lugs go into the slots", ""],
  ["tab washer, bent up", "1 lock-washer", "?"],
  ["1 M8x40 through the hub with a nyloc on the far end", "1 screw M8, 1 nut"],
  ["3 springs, all the same", "3 spring"],
  ["washer stack: thick, thin, thick", "", "?"],
  ["ball and spring fly out, mind your eyes", "1 ball, 1 spring", "?"],
  ["two halves of the clamp with 2 M5", "2 screw M5", "?"],
  ["only one of the four screws was tight", "", "?"],
  ["jubilee clip round the hose", "1 clamp", "?"],
  ["2 wood screws and a bit of felt", "2 screw", "?"],
  ["four black screws with big heads", "4 screw"],
  ["one hex bolt through the middle, spacer behind it", "1 screw, 1 spacer"],
  ["undid the clamp with a flat screwdriver", "1 clamp", "?"],
  ["the long spring came out with the plunger", "1 spring", "?"],
  ["wedged a screwdriver in the teeth to stop it turning", ""],
  ["2 circlips, watch your eyes", "2 circlip"],
  ["two long bolts front and two short ones back", "4 screw"],
  ["M3 x 6 countersunk, eight of them", "8 screw M3 6mm"],
  ["eight off M3 x 6 countersunk", "8 screw M3"],
  ["bearing came off with the shaft", " | bearing", "?"],
  ["there is a ball behind the spring", " | ball spring", "?"],
  ["ball and spring behind the lever", "1 ball, 1 spring"],
  ["6 screws TX20, no idea which is the long one", "6 screw TX20", "?"],
  ["clip on the end of the shaft", "1 clip"],
  ["pin goes through the shaft and the collar", " | pin", "?"],
  ["collar sits against the circlip", ""],
  ["shims: 0.2 and 0.5", "2 washer", "?"],
  ["1 shim 0.3 above the bearing, 1 shim 0.5 below", "2 washer"],
  ["3 washers: fibre, steel, fibre", "3 washer", "?"],
  ["two wires, red and black, to the switch", "", "?"],
  ["needs a 5.5 mm nut driver", ""],
  ["used the three jaw puller and some heat", ""],
  ["impact driver, 2 PH3", "2 screw PH3", "?"],
  ["one nut each end of the axle", "2 nut", "?"],
  ["6 bolts M5x16, 2 longer M5x25 at the top", "8 screw", "?"],
  ["screws 4x, all PZ2", "4 screw PZ2"],
  ["the fifth screw is hidden under the foot", "", "?"],
  ["5 screws, the fifth is under the rubber foot", "5 screw", "?"],
  ["a star washer under each screw head, 4 screws", "4 screw, 4 lock-washer", "?"],
  ["gasket stuck to the cover", " | gasket", "?"],
  ["gasket torn, make a new one", "1 gasket", "?"],
  ["O ring in the groove, flat", "1 o-ring", "?"],
  ["blade nut is left handed, 13 spanner", "1 nut LH"],
  ["spindle locked with a 4 mm pin", "", "?"],
  ["tighten the M6 to 8 Nm", "", "?"],
  ["2 M6x20 at 8 Nm, loctite blue", "2 screw M6"],
  ["put a rag under it, the balls drop out", " | ball", "?"],
  ["12 balls in the race", "12 ball"],
  ["earth wire under the front left screw", " | screw", "?"],
  ["4 screws, front left one holds the earth wire", "4 screw", "?"],
  ["spring loaded, cover jumps", "", "?"],
  ["spring hooked into the lever, loop up", "1 spring", "?"],
  ["return spring, short leg to the case", "1 spring"],
  ["fan is pressed on, two screwdrivers opposite each other", ""],
  ["key 4x4x12 in the shaft", "1 key"],
  ["woodruff key, lift it out with side cutters", "1 key"],
  ["three screws out, one snapped", "3 screw", "?"],
  ["2 of the screws are self tappers", "", "?"],
  ["one screw less than the drawing shows", "", "?"],
  ["a washer was missing under the left one", "", "?"],
  ["plugs: motor, switch, board", "3 plug", "?"],
  ["thin side of the washer to the rotor", "", "?"],
  ["M4 grub screw 2 mm allen, with loctite", "1 screw M4"],
  ["grub screw on the flat of the shaft", "1 screw"],
  ["nut, then the shakeproof, then the terminal", "1 nut, 1 lock-washer", "?"],
  ["just two screws", "2 screw"],
  ["screw number five is longer", "", "?"],
  ["counted 7 screws", "7 screw"],
  ["4 more of the same", "", "?"],
  ["clicks off, four clips round the edge", "4 clip", "?"],
  ["half of the housing clips over the other", "", "?"],
  ["the bearing is pressed in, stays", "", "?"],
  ["slotted bush 10 mm, split side to the keyway", "", "?"],
  ["knob pulls straight off, flat inside it faces the pointer", ""],
  ["4 feet, each with a screw", "4 screw", "?"],
  ["motor bolts x2 (long)", "2 screw"],
  ["clevis pin and its R clip", "1 pin, 1 clip", "?"],
  ["two nuts locked against each other, 10 and 13", "2 nut", "?"],
  ["lid off, screws stay in it", "", "?"],
  ["one of the springs was broken", " | spring", "?"],
  ["replaced by a longer screw by somebody", "", "?"],
  ["screws of different length, 2x 12 and 2x 20", "4 screw", "?"],
  ["cover with its four screws", "4 screw"],
  ["the big nut 24, stop the shaft with the pin", "1 nut", "?"],
  ["roll pin, drive it from the side of the dot", "1 pin"],
  ["popped off with a thumbnail", ""],
  ["prised up with a paint scraper", ""],
  ["driven through with a 3 mm drift", ""],
  ["pressed out in the vice with two sockets", ""],
  ["turned with a 22 mm ring spanner", ""],
  ["undone with a 13 mm socket and extension", ""],
  ["8 mm spanner, nut won't move", " | nut", "?"],
  ["5 mm hex", " | screw", "?"],
  ["torx 20 driver through the handle", ""],
  ["needs a pin wrench with 4 mm pins", "", "?"],
  ["3 screws torx 15, one with a stubby driver", "3 screw TX15", "?"],
  ["locates on two dowels", ""],
  ["hangs on the spring", ""],
  ["fits over three studs", ""],
  ["drops over a key on the shaft", ""],
  ["its tab goes into the slot of the cover", ""],
  ["the notch meets a rib in the housing", ""],
  ["two ears drop in the cut-outs", ""],
  ["a flat on the shaft faces the screw", "", "?"],
  ["the D flat points up", "", "?"],
  ["seats on a shoulder, nothing under it", ""],
  ["rests against a circlip that stays on the shaft", ""],
  ["the newer type has a circlip", ""],
  ["2 pins, the old version had 3", "2 pin"],
  ["in earlier batches these are rivets", "", "?"],
  ["1 split pin, later models use a clip", "1 split-pin"],
  ["screw put back in two turns so it is not lost", ""],
  ["washer and nut back on finger tight", "", "?"],
  ["bolt back in to hold the plate", ""],
  ["6 screws, three of them countersunk", "6 screw"],
  ["four bolts: two with spacers", "4 screw, 2 spacer"],
  ["5 nuts, one of them a nyloc", "5 nut", "?"],
  ["8 torx 20, four each side", "8 screw TX20"],
  ["9 screws, three per row", "9 screw", "?"],
  ["3 washers above the spring 2 below", "5 washer"],
  ["one thick washer below, two thin ones above", "3 washer"],
  ["a spacer on the left one on the right", "2 spacer", "?"],
  ["a circlip at each end", "2 circlip", "?"],
  ["two screws top, three bottom", "5 screw"],
  ["6 M5x20 in two rows of three", "6 screw M5 20mm"],
  ["10 M3x6 all round", "10 screw M3"],
  ["19 nut with washer", "1 nut, 1 washer", "?"],
  ["7 mm hex head, two of them", "2 screw", "?"],
  ["17 mm bolt", "1 screw", "?"],
  ["2 self tappers 3.5x13", "2 screw 13mm"],
  ["bearing 6000 and a 6002", "2 bearing", "?"],
  ["a 626", " | bearing", "?"],
  ["rubber boot, spring clip", "1 clip"],
  ["plastic bush and shim", "1 washer"],
  ["end plate, 2 spacers", "2 spacer"],
  ["three retaining tabs", "", "?"],
  ["distance ring and circlip", "1 circlip | spacer", "?"],
  ["collar with a grub screw", "1 screw"],
  ["thrust washer, then a needle cage, then another thrust washer", "2 thrust-washer"],
  ["stop ring", "", "?"],
  ["sealing washer and plug screw", "1 washer, 1 screw", "?"],
  ["arbor nut, loosens clockwise", "1 nut LH"],
  ["hub nut left-handed, 24 mm", "1 nut LH"],
  ["screw M6, unscrews to the right", "1 screw M6 LH"],
  ["1 bolt, turn it clockwise to undo", "1 screw LH"],
  ["nut with a backwards thread", "1 nut LH"],
  ["the nut goes the other way", "1 nut LH", "?"],
  ["black on 3 white on 5", ""],
  ["grey to motor, pink to sensor", ""],
  ["connector of the fan, connector of the pump", "2 plug"],
  ["three plugs off the board", "3 plug"],
  ["clip back on so the spring stays", ""],
  ["drawn off with two M5 bolts", "", "?"],
  ["washer dished side down", "1 washer"],
  ["spring washer hollow side to the nut", "1 lock-washer"],
  ["seal, lip to the oil", "1 seal"],
  ["1 flat washer, sharp side out", "1 washer"],
  ["gasket, always new", "1 gasket", "?"],
  ["2 O rings, renew both", "2 o-ring"],
  ["split pin, never use it twice", "1 split-pin", "?"],
  ["bearing inside, stays in the housing", "", "?"],
  ["latch, its spring stays on", "", "?"],
  ["two balls in the hub, they stay", "", "?"],
  ["leave the circlip on the shaft", ""],
  ["screws 4 corners 16 mm", "4 screw", "?"],
  ["lock nut against the other nut", "1 nut", "?"],
  ["there were 5 screws, now 4", "", "?"],
  ["four screws, not five", "4 screw", "?"],
  ["1 M4x8 and its star washer under the earth lead", "1 screw, 1 lock-washer"],
  ["long screws at the motor end, short ones at the gear end, 2 each", "4 screw", "?"],
  ["pin falls out by itself", "1 pin", "?"],
  ["rocker on a pin, pin has a clip", " | pin clip", "?"],
  ["five pan head, one countersunk", "6 screw", "?"],
  ["wiggled off by hand, a bit of penetrating oil", ""],
  ["knocked off with a brass hammer and a block", ""],
  ["got it out with a hook made from wire", ""],
  ["undo with 4 mm allen key", " | screw", "?"],
  ["two flat screwdrivers either side", ""],
  ["pliers on the spring hook, then off", ""],
  ["screwdriver through the hole to stop the spindle", ""],
  ["2 M5 bolts screwed in as a puller", "", "?"],
  ["one M4x10 with its washer, 7 mm socket", "1 screw, 1 washer"],
  ["rides on two bearings", ""],
  ["stands on four rubber feet", ""],
  ["two dowels stay in the lower half", ""],
  ["pins in the carrier, they do not come out", "", "?"],
  ["cross pin lies in the slot of the gear", " | pin", "?"],
  ["the spring presses on the ball", " | spring", "?"],
  ["the key lines up with the slot in the gear", " | key", "?"],
  ["the flats of the shaft go vertical", "", "?"],
  ["newer ones are glued here", ""],
  ["3 clips, some models have 4", "3 clip"],
  ["on the bigger model it is M6", "", "?"],
  ["1 nut M8 (older: M10)", "1 nut M8"],
  ["put the screw back in its hole", ""],
  ["screwed the nut back on to protect the thread", ""],
  ["cable tied for now", "", "?"],
  ["2 nuts, do them up evenly", "2 nut"],
  ["4 screws, half a turn each in turn", "4 screw", "?"],
  ["nut to 12 Nm, then back a quarter", "1 nut", "?"],
  ["circlip must click into its groove", " | circlip", "?"],
  ["needs new gasket", " | gasket", "?"],
  ["new o-ring, old one was flat", "1 o-ring", "?"],
  ["seven screws: five short, two long at the handle", "7 screw"],
  ["4 torx 10 and 2 phillips", "6 screw"],
  ["6 screws, 2 under the label", "6 screw", "?"],
  ["3 screws and under the sticker one more", "4 screw", "?"],
  ["each screw has a washer, 4 of them", "4 screw, 4 washer", "?"],
  ["4 screws each with a spring washer and a flat", "4 screw, 4 lock-washer, 4 washer"],
  ["a pair of bolts with nyloc nuts", "2 screw, 2 nut"],
  ["two washers, wavy one on top", "2 washer", "?"],
  ["bolt 10 mm head 30 long", "1 screw 30mm", "?"],
  ["M5 thread 16 deep", " | screw", "?"],
  ["608 both ends", " | bearing", "?"],
  ["lock plate", ""],
  ["nut plate with 2 M4", "2 screw"],
  ["screw cap over the brush", "", "?"],
  ["belt off the small pulley first", "1 belt", "?"],
  ["spring seat, spring, ball", "1 spring, 1 ball"],
  ["bearing retainer, three countersunk M3", "3 screw"],
  ["pin punch 3, pin 3x16", "1 pin"],
  ["fan bolt, it is left hand", "1 screw LH"],
  ["blade bolt reverse thread 17 mm head", "1 screw LH"],
  ["chuck comes off clockwise after the screw is out", "", "?"],
  ["nut tightens to the left", "1 nut LH"],
  ["yellow/green to the case, brown to L", ""],
  ["motor plug, sensor plug", "2 plug"],
  ["wave washer, peaks to the bearing", "1 wavy-washer", "?"],
  ["shim, burr side away from the gear", "1 washer"],
  ["bearing, closed side to the motor, number outwards", "1 bearing"],
  ["retaining ring pliers needed", ""],
  ["shaft with its bearing, one circlip", "1 circlip | bearing", "?"],
  ["bent it up with a pair of pliers", ""],
  ["shoved a rod through to lock the fan", ""],
  ["4 long M5 with allen heads", "4 screw M5"],
  ["undid six phillips", "6 screw", "?"],
  ["both motor screws, T20", "2 screw TX20"],
  ["cover clips on, three catches", ""],
  ["the shaft turns in a bush at each end", ""],
  ["small spring under the lever, don't lose it", "1 spring"],
  ["pull the pin first", "1 pin", "?"],
  ["bearing puller, bearing 6003", "1 bearing"],
  ["nut 17, washer, fan, key", "1 nut, 1 washer, 1 key", "?"],
  ["the older sort has two grub screws here", ""],
  ["one screw left in as a hinge", "", "?"],
  ["3 M4 and a spacer under each", "3 screw, 3 spacer", "?"],
  ["2x 608-2RS, one each end of the armature", "2 bearing"],
  ["retaining clip jumps, cover it", "1 clip", "?"],
  ["washers: 2 steel 1 fibre", "3 washer", "?"],
  ["screw through the handle into the housing", "1 screw"],
  ["5 screws including the hidden one", "5 screw"],
  ["6 screws incl. one under the badge", "6 screw", "?"],
  ["two nuts, one on each side of the plate", "2 nut"],
  ["four screws in the corners plus one in the middle", "5 screw"],
  ["8 screws total, 2 of which hold the cord clamp", "8 screw", "?"],
  ["guard comes off after the nut", " | nut", "?"],
  ["belt is off already", " | belt", "?"],
  ["snap off the cap, 2 screws under it", "2 screw"],
  ["screws are the same length", "", "?"],
  ["gasket stays on the cover", ""],
  ["the flat washer goes under the spring washer", "", "?"],
  ["shim 0.5 between pinion and bearing", "1 washer"],
  ["T8 x3 and T10 x2", "5 screw"],
  ["o-ring stuck in the groove, picked it out", "1 o-ring", "?"],
  ["spring clip under tension, release with a screwdriver", "1 clip", "?"],
  ["carbon brushes, both worn short", "2 brush", "?"],
  ["left-hand M6 bolt holds the cutter", "1 screw LH"],
  ["red and black wires to the board", "", "?"],
  ["2 rivets drilled out", "2 rivet"],
  ["roll pin driven out from the plain side", "1 pin"],
  ["hinge pin slides out, no circlip", "1 pin"],
  ["two halves held by 7 screws", "7 screw"],
];

/** Kinds that are one another's cousins at the bench. */
const KIN: Readonly<Record<string, readonly string[]>> = {
  washer: ["washer", "wavy-washer"],
  pin: ["pin", "split-pin"],
};

/** What is wrong with what was read of a line; undefined: nothing. */
function wrongWith(says: string, cameOff: string): string | undefined {
  const [wanted = "", spare = ""] = cameOff.split("|").map((s) => s.trim());
  const { pieces } = lineAnswer({ says });
  const known = new Set<unknown>();
  for (const one of wanted.split(", ").filter(Boolean)) {
    const [qty, kind = "", ...facts] = one.split(" ");
    const own = pieces.filter((p) => (KIN[kind] ?? [kind]).includes(p.kind));
    for (const p of own) known.add(p);
    const count = own.reduce((n, p) => n + p.qty, 0);
    if (count !== Number(qty)) return `${count} ${kind}, not ${qty}`;
    for (const fact of facts) {
      const has = own.some((p) =>
        fact === "LH"
          ? p.leftHand
          : fact === "new"
            ? p.once
            : p.thread === fact || p.drive === fact || `${p.lengthMm}mm` === fact,
      );
      if (!has) return `${kind} without ${fact}`;
    }
  }
  const more = pieces.filter((p) => !known.has(p) && !spare.split(" ").includes(p.kind));
  return more.length ? `${more.length} too many` : undefined;
}

describe("a line as it is spoken", () => {
  it.each(SPOKEN)("“%s” is read, or asked about: never silently wrong", (says = "", cameOff = "") => {
    const wrong = wrongWith(says, cameOff);
    if (lineAnswer({ says }).doubts.length === 0) expect(wrong).toBeUndefined();
  });

  it("is read right without a question, nearly always", () => {
    const right = SPOKEN.filter(([says, cameOff, may]) => may || !wrongWith(says, cameOff));
    expect(right.length / SPOKEN.length).toBeGreaterThan(0.95);
    const asked = SPOKEN.filter(([says, , may]) => !may && lineAnswer({ says }).doubts.length > 0);
    expect(asked.length / SPOKEN.length).toBeLessThan(0.1);
  });

  it("has all its words in what was read", () => {
    for (const [says = ""] of SPOKEN) {
      const seen = new Set(
        lineAnswer({ says }).read.flatMap((s) => Array.from({ length: s.to - s.from }, (_, i) => s.from + i)),
      );
      for (const word of says.matchAll(/[\p{L}\p{N}]+/gu))
        for (let i = word.index; i < word.index + word[0].length; i++)
          expect([says, seen.has(i)]).toEqual([says, true]);
    }
  });
});

describe("what stands beside the pieces", () => {
  const of = (says: string) => lineAnswer({ says });
  it("goes where it belongs: tools with their size, ways, what stays, other units, for a while, its return", () => {
    expect(of("2 nuts, 10 mm socket and a long drift").tools).toEqual(["10 mm socket", "long drift"]);
    expect(of("levered off with two screwdrivers")).toMatchObject({
      freed: "pry",
      tools: ["screwdrivers"],
      pieces: [],
    });
    const about = (says: string) => of(says).asides.map((a) => [a.about, a.says]);
    expect(about("rests on 2 dowels, 2 screws")).toEqual([["seat", "rests on 2 dowels"]]);
    expect(about("1 circlip, on older ones a nut")).toEqual([["variant", "on older ones a nut"]]);
    expect(about("nut back on to save the thread")).toEqual([
      ["meanwhile", "nut back on to save the thread"],
    ]);
    expect(about("gasket, smear it with grease")).toEqual([["return", "smear it with grease"]]);
    expect(about("five nuts, one of them rusty")).toEqual([["share", "one of them rusty"]]);
  });
  it("gives a piece its own part of what was counted", () => {
    const counts = (says: string) => of(says).pieces.map((p) => [p.qty, p.kind, p.finish]);
    expect(counts("five screws, four short one long")).toEqual([
      [4, "screw", "short"],
      [1, "screw", "long"],
    ]);
    expect(counts("4 screws, two of them with nuts")).toEqual([
      [4, "screw", undefined],
      [2, "nut", undefined],
    ]);
    expect(counts("three bolts with a washer each")).toEqual([
      [3, "screw", undefined],
      [3, "washer", undefined],
    ]);
    expect(of("9 screws, 4 each side").doubts).toHaveLength(0);
    expect(of("4 screws, 3 each side").doubts[0]?.says).toMatch(/4 in all/);
  });
  it("names parts among the pieces, and counts none of them", () => {
    expect(of("end cap, snap ring")).toMatchObject({
      parts: ["end cap"],
      pieces: [{ kind: "circlip", qty: 1 }],
    });
    expect(of("brush holder").parts).toEqual(["brush holder"]);
    expect(of("spring cup and spring")).toMatchObject({
      parts: ["spring cup"],
      pieces: [{ kind: "spring" }],
    });
  });
  it("hears a left hand however it is said, gives it to what is screwed, and to the step where no piece is", () => {
    for (const says of [
      "nut M8, undoes clockwise",
      "nut M8 that turns the other way",
      "nut M8, tightens anticlockwise",
      "nut M8, opens to the right",
    ])
      expect([says, of(says).pieces[0]?.leftHand]).toEqual([says, true]);
    expect(of("13 nut and its washer, undoes clockwise").pieces.map((p) => p.leftHand)).toEqual([
      true,
      undefined,
    ]);
    expect(of("impeller, unscrews clockwise")).toMatchObject({ pieces: [], leftHand: true });
    expect(of("nut, undoes anticlockwise").pieces[0]?.leftHand).toBeUndefined();
    expect(of("nut M6, clockwise").doubts).not.toHaveLength(0);
  });
  it("takes a figure before one nut for its width, before several for how many", () => {
    expect(of("10 nut").pieces).toEqual([{ kind: "nut", qty: 1, drive: "AF10" }]);
    expect(of("10 nuts").pieces).toEqual([{ kind: "nut", qty: 10 }]);
    expect(of("8 mm bolt head, one bolt").pieces).toEqual([{ kind: "screw", qty: 1, drive: "AF8" }]);
  });
});

describe("a piece and where it sat", () => {
  const PLACES = ["", "on the left", "at the back", "in the cover", "under the gear", "through the hub", "behind it", "of the motor", "with a washer", "from the handle"]; // biome-ignore format: a row
  it("as a law: of every kind, by each of its words, it is counted or asked about, wherever it is said to have sat", () => {
    for (const [kind, phrases] of Object.entries(KIND_PHRASES))
      for (const phrase of phrases.filter((p) => p !== "flat"))
        for (const said of [phrase, `2 ${phrase}s`, `a ${phrase}`, `the ${phrase}`])
          for (const place of PLACES) {
            const { pieces, beside, doubts } = lineAnswer({ says: `${said} ${place}` });
            const isThere = [...pieces, ...beside].some((p) => p.kind === kind) || doubts.length > 0;
            expect([said, place, isThere]).toEqual([said, place, true]);
          }
  });
});
