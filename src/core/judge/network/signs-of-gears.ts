import { link } from "./mechanisms";
import { type Sign, sign } from "./sign";

/** All that is seen of one damage is one sign: of a gear's teeth the pattern that says most. */
export const TEETH: readonly Sign[] = [
  sign(
    "teeth:run",
    0.003,
    link("tooth-overloaded", 0.7, "teeth next to each other go in one blow; wear takes them all round"),
    link("plastic-brittle", 0.1, "brittle teeth go where the load is"),
  ),
  sign(
    "teeth:scattered",
    0.003,
    link("tooth-tired", 0.7, "teeth in several places were not one blow"),
    link("plastic-brittle", 0.3, "brittle teeth go anywhere"),
    link("crumbs-in", 0.1, "a crumb breaks what it meets"),
    link("tooth-overloaded", 0.03, "two blows"),
  ),
  sign(
    "teeth:one",
    0.01,
    link("tooth-tired", 0.3, "one tooth alone had tired"),
    link("tooth-overloaded", 0.3, "one tooth took the blow"),
  ),
  sign(
    "teeth:cracked",
    0.003,
    link("tooth-tired", 0.7, "a crack at the root is a tooth that is about to go"),
    link("plastic-brittle", 0.3, "brittle plastic cracks at its roots"),
  ),
  sign(
    "teeth:chipped",
    0.01,
    link("crumbs-in", 0.3, "crumbs chip what they pass"),
    link("tooth-overloaded", 0.3, "chips come from blows"),
    link("wrong-part", 0.1, "what does not mesh chips"),
    link("forced", 0.1, "chips come from blows"),
  ),
  sign("teeth:all-worn", 0.01, link("worn-thin", 0.9, "thin all round: turn after turn")),
  sign(
    "teeth:part-worn",
    0.01,
    link("shafts-lean", 0.5, "wear over a part of the round is a gear that wobbles"),
    link("worn-thin", 0.1, "wear that is not yet all round"),
    link("bearing-slack", 0.3, "a slack bearing lets its gear wobble"),
  ),
  sign("teeth:melted", 0.003, link("too-hot", 0.5, "teeth melt where they slip under power")),
  sign("teeth:corroded", 0.003, link("water-in", 0.5, "rust on the teeth")),
  sign(
    "flank:both",
    0.03,
    link("wrong-part", 0.5, "both flanks worn: too tight, or the wrong pitch"),
    link("misaligned", 0.3, "both flanks worn: the mesh was too deep"),
    link("worn-thin", 0.1, "it works both ways round"),
  ),
];

export const GEARS: readonly Sign[] = [
  sign(
    "gear:missing-teeth",
    0.005,
    link("tooth-overloaded", 0.7, "whole teeth go by force"),
    link("tooth-tired", 0.5, "roots that tired let go"),
    link("plastic-brittle", 0.3, "brittle teeth go"),
  ),
  sign("gear:knife-edged", 0.005, link("worn-thin", 0.5, "knife edges are wear to the end")),
  sign(
    "gear:chipped",
    0.01,
    link("crumbs-in", 0.3, "crumbs chip what they pass"),
    link("tooth-overloaded", 0.3, "chips come from blows"),
    link("tooth-tired", 0.1, "corners go first"),
    link("forced", 0.1, "chips come from blows"),
  ),
  sign(
    "gear:cracked-hub",
    0.003,
    link("hub", 0.7, "a cracked hub slips"),
    link("plastic-brittle", 0.5, "plastic pressed on a shaft shrinks and splits with the years"),
  ),
  sign(
    "gear:split",
    0.003,
    link("hub", 0.7, "a split wheel turns on its shaft"),
    link("plastic-brittle", 0.7, "plastic pressed on a shaft shrinks and splits with the years"),
  ),
  sign("gear:melted", 0.003, link("too-hot", 0.5, "plastic melts where power is lost")),
  sign("gear:corroded", 0.003, link("water-in", 0.5, "metal does not rust without water")),
  sign("gear:worn", 0.01, link("worn-thin", 0.7, "it is worn")),
  sign(
    "gear:pitted",
    0.005,
    link("tooth-tired", 0.5, "pits on the driving flanks are a surface that tired"),
    link("overload", 0.3, "too much load pits a flank"),
    link("water-in", 0.1, "rust leaves pits"),
  ),
  sign(
    "gear:scuffed",
    0.003,
    link("film-lost", 0.5, "flanks scuff where the film breaks"),
    link("overload", 0.3, "flanks scuff under load and speed"),
  ),
  sign(
    "gear:worn-at-one-end",
    0.003,
    link("shafts-lean", 0.9, "wear at one end of the face: the shafts do not stand parallel"),
  ),
  sign(
    "gear:rolled",
    0.003,
    link("overload", 0.5, "soft metal rolls over under load"),
    link("worn-thin", 0.1, "an edge rolls when it is thin"),
  ),
  sign(
    "gear:blued",
    0.003,
    link("film-lost", 0.3, "blue is heat without a film"),
    link("too-hot", 0.5, "blue is heat"),
  ),
  sign(
    "gear:crazed",
    0.003,
    link("plastic-brittle", 0.7, "fine cracks all over are the plastic’s age"),
    link("wrong-lubricant", 0.3, "what was put in attacked it"),
  ),
  sign(
    "brittle:several",
    0.001,
    link("plastic-brittle", 0.7, "more than one part of old plastic went: it is the plastic"),
  ),
  sign(
    "mate:worn",
    0.01,
    link("worn-mate", 0.9, "the mate is out of limit by measure"),
    link("film-lost", 0.3, "both wear where the film is gone"),
    link("dirt-in", 0.3, "grit wears both"),
    link("worn-out", 0.3, "both have done the same work"),
  ),
];
