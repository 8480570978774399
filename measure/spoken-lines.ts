/**
 * Forty lines as they are said at the bench, each with what a practised hand types for it. That both are read
 * alike is looked at before anything is measured, so that the shorthand is no shortcut around what was said.
 */
export const SPOKEN: readonly (readonly [said: string, typed: string])[] = [
  ["four torx 15 screws 16 mm long at the corners", "4 tx15 16 corners"],
  ["two M4x12 phillips", "2 m4x12 ph"],
  ["one M6 nut", "m6 nut"],
  ["2 flat washers and 1 wavy washer", "2 flat, wavy"],
  ["a circlip 15", "circlip 15"],
  ["six tx10 12 mm into plastic", "6 tx10 12 into plastic"],
  ["one 608-2RS bearing", "608-2rs"],
  ["M8 left hand nut", "m8 nut lh"],
  ["a spring pin 3x18, driven out", "pin 3x18 driven"],
  ["an O-ring 30", "o-ring 30"],
  ["four M5x20 with hex 4", "4 m5x20 hex4"],
  ["two screws M3x8 front", "2 m3x8 front"],
  ["one cable tie", "cable tie"],
  ["plug J3 2-pole", "plug j3 2-pole"],
  ["three ST3.5x16 rear", "3 st3.5x16 rear"],
  ["two carbon brushes", "2 brushes"],
  ["one E-clip 6", "e-clip 6"],
  ["one gasket", "gasket"],
  ["four M4x16 with blue threadlock", "4 m4x16 blue-locker"],
  ["2 screws M4 only loosened", "2 m4 only loosened"],
  ["one spring 30 mm", "spring 30"],
  ["two M4x10 countersunk", "2 csk m4x10"],
  ["one key 4x12", "key 4x12"],
  ["2 spade connectors", "2 plug"],
  ["one shaft seal 12", "seal 12"],
  ["eight tx10 10", "8 tx10 10"],
  ["one M6 cap nut", "m6 cap nut"],
  ["two thrust washers", "2 thrust washers"],
  ["3 screws tx20 25", "3 tx20 25"],
  ["one split pin", "split pin"],
  ["two M5x25 with washer", "2 m5x25 with washer"],
  ["one belt", "belt"],
  ["a disc spring under the gear", "disc spring under gear"],
  ["four self-locking nuts M4", "4 nyloc m4"],
  ["one M5x20 at 3 Nm", "m5x20 3nm"],
  ["5 balls 3 mm", "5 balls 3"],
  ["one 6001 bearing, pressed out", "bearing 6001 pressed"],
  ["2 clips left", "2 clips left"],
  ["one grub screw M4x5", "grub m4x5"],
  ["one cord clamp", "clamp"],
];

/**
 * Steps with all that hangs on them: the part, the line with facing, marks, wires and what they lie on, and
 * the keys for order and coming out as one.
 */
export const WHOLE: readonly (readonly [what: string, line: string, more: string])[] = [
  ["gear cover", "6 tx15 16 corners, facing rib up", "o"],
  ["motor", "4 m4x16 corners, mark dot on case, brown>l, blue>n", ""],
  ["drive wheel", "top: flat 12 + wheel + wavy, hub up", ""],
  ["worm", "circlip 12, pin 3x18 driven, facing thread rear", "b"],
  ["switch", "2 m3x8, bk>1, rd>2, bn>3", ""],
  ["lay shaft", "2 thrust washers chamfer down, mark gap at pin", "b"],
  ["base plate", "8 tx10 12 into plastic, 2 screws stay with the foot", "o"],
];
