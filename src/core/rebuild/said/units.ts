/** Strips as they are typed at the bench, of machines that the demo does not have: the two lines of each step. */
export const SAID_UNITS = [
  {
    unit: "hedge trimmer",
    steps: [
      {
        what: "lower half",
        line: "4 phillips, bevel gear on its shaft stays in",
      },
      {
        what: "blade pair",
        line: "2 bolts M6 10 mm spanner, felt between",
      },
      {
        what: "crank gear",
        line: "1 circlip, one washer above one below, lifts out",
      },
      {
        what: "pinion",
        line: "pulled with a two leg puller, woodruff key stays in the shaft",
      },
    ],
  },
  {
    unit: "cordless drill",
    steps: [
      {
        what: "chuck",
        line: "screw inside left hand, then chuck unscrews",
      },
      {
        what: "left shell",
        line: "9 torx 10 into plastic, one longer at the front",
      },
      {
        what: "gearbox",
        line: "lifts out as one, 2 pegs in the shell",
      },
      {
        what: "mode ring",
        line: "quarter turn left till it stops, spring and ball under it flew",
      },
      {
        what: "motor",
        line: "twists off, 2 tabs",
      },
    ],
  },
  {
    unit: "pressure washer pump",
    steps: [
      {
        what: "pump head",
        line: "4 M8 bolts allen 6, o-rings underneath",
      },
      {
        what: "wobble plate",
        line: "lifts out, thrust bearing behind it",
      },
      {
        what: "oil seal",
        line: "pried out, lip to the oil",
      },
      {
        what: "motor coupling",
        line: "taper pin driven out from the small end",
      },
    ],
  },
  {
    unit: "floor polisher",
    steps: [
      {
        what: "handle",
        line: "2 bolts with nuts, one star washer each",
      },
      {
        what: "switch box",
        line: "3 screws, black to 1 white to 2 green/yellow to earth",
      },
      {
        what: "cord",
        line: "2 screws cord grip",
      },
      {
        what: "drive belt",
        line: "walked off the big wheel",
      },
      {
        what: "idler",
        line: "1 bolt, spring unhooked first",
      },
    ],
  },
  {
    unit: "bread slicer",
    steps: [
      {
        what: "knife",
        line: "1 nut 17 left hand thread",
      },
      {
        what: "gear cover",
        line: "5 screws, gasket stuck",
      },
      {
        what: "big gear",
        line: "1 e-clip missing, 1 shim",
      },
      {
        what: "worm shaft",
        line: "pressed out with its bearing",
      },
    ],
  },
  {
    unit: "ceiling hoist",
    steps: [
      {
        what: "end cover",
        line: "6 bolts M5, sits on two dowels, tapped loose",
      },
      {
        what: "brake disc",
        line: "3 disc springs under the nut, nut 13 two turns back was locked with a tab washer",
      },
      {
        what: "limit switch",
        line: "2 screws, cam mark faces the roller",
      },
      {
        what: "drum shaft",
        line: "slid out, key stays",
      },
    ],
  },
  {
    unit: "fan heater",
    steps: [
      {
        what: "rear grille",
        line: "6 clips",
      },
      {
        what: "fan",
        line: "pulled off by hand, d shaft",
      },
      {
        what: "motor",
        line: "2 nuts with rubber washers",
      },
      {
        what: "thermostat",
        line: "2 spade terminals red and white",
      },
    ],
  },
  {
    unit: "sausage stuffer",
    steps: [
      {
        what: "crank",
        line: "wing nut",
      },
      {
        what: "gear box lid",
        line: "4 machine screws",
      },
      {
        what: "idler gear",
        line: "slides off, fibre washer each side",
      },
      {
        what: "rack",
        line: "wiggle it off the guides",
      },
    ],
    "new": [
      {
        part: "idler gear",
        name: "idler gear steel",
        with: [
          {
            name: "rack",
            replaces: "rack",
          },
          {
            name: "2 fibre washers",
          },
        ],
      },
    ],
  },
  {
    unit: "model train",
    steps: [
      {
        what: "body",
        line: "spread the sides, lifts off",
      },
      {
        what: "keeper plate",
        line: "4 tiny screws",
      },
      {
        what: "wheel set",
        line: "drops out, dot up",
      },
      {
        what: "motor",
        line: "retaining spring clip, brush springs fly",
      },
    ],
  },
  {
    unit: "tile cutter",
    steps: [
      {
        what: "blade flange",
        line: "nut 24 turns the other way, held with a pin through the flange",
      },
      {
        what: "splash guard",
        line: "thumb screw",
      },
      {
        what: "gear case",
        line: "4 screws torx 20, had to turn the blade to get it off",
      },
      {
        what: "bearing",
        line: "6201 stays on the shaft",
      },
    ],
  },
  {
    unit: "ice crusher",
    steps: [
      {
        what: "motor cover",
        line: "4 screws T15",
      },
      {
        what: "drive gear",
        line: "1 circlip, shim under it",
      },
      {
        what: "crusher shaft",
        line: "pulls out with its bearing",
      },
    ],
    "new": [
      {
        part: "drive gear",
        name: "drive gear B",
        with: [
          {
            name: "motor with helical pinion",
            replaces: "motor",
          },
        ],
      },
    ],
  },
  {
    unit: "cheese grater",
    steps: [
      {
        what: "drum",
        line: "unscrews, left hand thread",
      },
      {
        what: "front plate",
        line: "3 M4x12, gasket",
      },
      {
        what: "pinion shaft",
        line: "o-ring, slides out",
      },
    ],
    "new": [
      {
        part: "pinion shaft",
        name: "shaft kit",
        with: [
          {
            name: "o-ring 12x2",
            replaces: "o-ring",
          },
          {
            name: "gasket",
            replaces: "gasket",
          },
        ],
      },
    ],
  },
  {
    unit: "kiln fan",
    steps: [
      {
        what: "fan guard",
        line: "4 machine screws",
      },
      {
        what: "impeller",
        line: "1 roll pin 3x16 through the hub, driven out",
      },
      {
        what: "motor",
        line: "4 nuts with lock washers, 2 leads red to 1 black to 2",
      },
    ],
  },
  {
    unit: "ticket printer",
    steps: [
      {
        what: "side plate",
        line: "6 screws",
      },
      {
        what: "timing belt",
        line: "slipped off, dots line up with the marks on the plate",
      },
      {
        what: "cam pulley",
        line: "1 grub screw loosened",
      },
      {
        what: "feed roller",
        line: "2 e-clips, bushes slide out with it",
      },
    ],
  },
  {
    unit: "core drill",
    steps: [
      {
        what: "drill head",
        line: "unscrews, turns the other way, hold the spindle with a 32 spanner",
      },
      {
        what: "seal carrier",
        line: "3 hex 4, oil seal pressed in it stays",
      },
      {
        what: "spindle",
        line: "tapped out, key stays in it",
      },
      {
        what: "spindle bearing",
        line: "pressed off with the arbor press",
      },
    ],
  },
  {
    unit: "letter scale",
    steps: [
      {
        what: "lid",
        line: "2 catches",
      },
      {
        what: "adjuster",
        line: "lock nut 8 mm, adjusting screw stood three threads out",
      },
      {
        what: "spring",
        line: "unhooked from both ends",
      },
      {
        what: "lever",
        line: "pivot pin pushed out",
      },
    ],
  },
  {
    unit: "wine press",
    steps: [
      {
        what: "ratchet head",
        line: "1 bolt M10, spring and pawl each side",
      },
      {
        what: "upper half",
        line: "5 bolts, 2 dowels, bevel gear meets inside",
      },
      {
        what: "bevel gear",
        line: "2 disc springs, 1 nut",
      },
    ],
  },
  {
    unit: "foot massager",
    steps: [
      {
        what: "bottom cover",
        line: "8 self tappers into plastic, rubber feet over four of them",
      },
      {
        what: "cord",
        line: "strain relief, earth to the frame brown to L blue to N",
      },
      {
        what: "micro switch",
        line: "2 screws, follows the cam",
      },
      {
        what: "motor",
        line: "3 screws into brass inserts",
      },
    ],
  },
  {
    unit: "sanding disc machine",
    steps: [
      {
        what: "sanding pad",
        line: "1 screw left hand",
      },
      {
        what: "fan",
        line: "pulled with a three leg puller",
      },
      {
        what: "bearing 6001",
        line: "circlip 28 internal, pressed out",
      },
      {
        what: "carbon brushes",
        line: "2 caps unscrewed, springs shot out",
      },
    ],
  },
  {
    unit: "pasta roller",
    steps: [
      {
        what: "crank",
        line: "pulls off",
      },
      {
        what: "end plate",
        line: "4 acorn nuts with washers",
      },
      {
        what: "roller gear",
        line: "slid off the square shaft, dot to dot",
      },
      {
        what: "scraper",
        line: "hooks in two slots, tilts out",
      },
    ],
  },
  {
    unit: "bilge pump",
    steps: [
      {
        what: "strainer",
        line: "twists off a quarter turn, bayonet",
      },
      {
        what: "pump lid",
        line: "o-ring in a groove, 4 screws brass",
      },
      {
        what: "impeller",
        line: "pulled off by hand, two flats",
      },
      {
        what: "shaft seal",
        line: "pried out, spring side in",
      },
      {
        what: "hose",
        line: "1 hose clamp",
      },
    ],
  },
  {
    unit: "projector",
    steps: [
      {
        what: "rear door",
        line: "hinges down, 1 captive screw",
      },
      {
        what: "lamp",
        line: "unplugged, 3 screws",
      },
      {
        what: "colour wheel",
        line: "glued on, hair dryer",
      },
      {
        what: "board",
        line: "5 screws and a spacer each, ribbon pulled out of its clamp",
      },
    ],
  },
  {
    unit: "meat mincer",
    steps: [
      {
        what: "ring nut",
        line: "hand tight, unscrews",
      },
      {
        what: "plate and knife",
        line: "slot sits on the peg, knife flat to the plate",
      },
      {
        what: "scroll",
        line: "pulls out, square end",
      },
      {
        what: "gear box",
        line: "3 M6 bolts from the back, paper gasket torn",
      },
    ],
  },
  {
    unit: "sewing table lift",
    steps: [
      {
        what: "cover",
        line: "6 PH2 into wood",
      },
      {
        what: "crank handle",
        line: "split pin, bent, and a washer",
      },
      {
        what: "worm",
        line: "2 grub screws loosened a turn, slides out",
      },
      {
        what: "worm gear",
        line: "woodruff key, tapped off with a brass drift",
      },
    ],
  },
  {
    unit: "aquarium blower",
    steps: [
      {
        what: "top shell",
        line: "4 screws at the corners, one longer rear left",
      },
      {
        what: "diaphragm",
        line: "1 nut 7 mm and a dished washer both sides",
      },
      {
        what: "valve block",
        line: "2 screws, flap valves stay in, arrow to the outlet",
      },
      {
        what: "coil",
        line: "2 spades brown blue, desoldered",
      },
    ],
  },
  {
    unit: "dough divider",
    steps: [
      {
        what: "guard",
        line: "2 knobs, switch under it",
      },
      {
        what: "knife bar",
        line: "4 hex 5 with spring washers, sharp",
      },
      {
        what: "cam",
        line: "key, grub screw, mark faces up",
      },
      {
        what: "limit switch",
        line: "2 M3 and nuts, roller follows the cam",
      },
    ],
  },
  {
    unit: "desk elevator",
    steps: [
      {
        what: "end cap",
        line: "snaps off",
      },
      {
        what: "motor",
        line: "3 screws, plug with 4 wires",
      },
      {
        what: "coupler",
        line: "pulled off the D shaft",
      },
      {
        what: "spindle nut",
        line: "left hand thread, turns off",
      },
    ],
    "new": [
      {
        part: "spindle nut",
        name: "nut bronze",
        with: [
          {
            name: "spindle",
            replaces: "spindle",
          },
        ],
      },
    ],
  },
  {
    unit: "hand blender",
    steps: [
      {
        what: "shaft housing",
        line: "quarter turn bayonet",
      },
      {
        what: "half shells",
        line: "8 T8 security into plastic, 2 tabs at the front",
      },
      {
        what: "coupling",
        line: "left hand, hold the motor fan with pliers",
      },
      {
        what: "motor",
        line: "rubber rings both ends, 2 leads blue to N brown to L",
      },
    ],
  },
  {
    unit: "paper cutter clamp",
    steps: [
      {
        what: "hand wheel",
        line: "1 dome nut, washer, taper",
      },
      {
        what: "spindle",
        line: "unscrews downwards",
      },
      {
        what: "thrust bearing",
        line: "between two washers",
      },
      {
        what: "clamp bar",
        line: "2 springs hooked each side, slides out",
      },
    ],
  },
  {
    unit: "air brush compressor",
    steps: [
      {
        what: "cylinder head",
        line: "4 M5 with o-ring, crosswise",
      },
      {
        what: "piston",
        line: "connecting rod bolt hex 4, rod mark to the fan",
      },
      {
        what: "fan",
        line: "press fit on the shaft, two screwdrivers",
      },
      {
        what: "crank",
        line: "bearing stays on it",
      },
    ],
  },
  {
    unit: "turntable",
    steps: [
      {
        what: "platter",
        line: "lifts off",
      },
      {
        what: "belt",
      },
      {
        what: "motor pulley",
        line: "1 grub screw 1.5 mm allen",
      },
      {
        what: "bearing spindle",
        line: "ball under it, oil in the well",
      },
    ],
  },
  {
    unit: "pipe threader",
    steps: [
      {
        what: "die head",
        line: "spring pin lifts, pulls out",
      },
      {
        what: "ratchet ring",
        line: "circlip 52 external, pawl and spring jump",
      },
      {
        what: "gear cover",
        line: "7 bolts, 1 dowel stuck in the cover, liquid gasket",
      },
      {
        what: "pinion",
        line: "shaft bolt M8 left hand, lock washer, key",
      },
    ],
  },
  {
    unit: "juggling machine",
    steps: [
      {
        what: "lower case half",
        line: "6 bolts, worm meshes with the wheel as it comes down",
      },
      {
        what: "worm",
        line: "2 bearings slide off, shim each end",
      },
      {
        what: "wheel",
        line: "roll pin through the hub, driven out from the small side",
      },
    ],
  },
  {
    unit: "shop press pump",
    steps: [
      {
        what: "handle",
        line: "clevis pin with r-clip",
      },
      {
        what: "ram",
        line: "unscrew gland nut 36, seals renew",
      },
      {
        what: "check valve",
        line: "plug 14 mm, spring, ball, order ball first",
      },
    ],
  },
] as const;
