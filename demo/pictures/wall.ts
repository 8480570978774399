import type { Pov } from "./parts";

/**
 * What stands behind the bench in the pictures of whole units: plaster, a board with tools, small drawers,
 * and a window's light for things that shine.
 */
export function wallBehind(span: number): Pov {
  const z = span * 0.95;
  const drawers = Array.from({ length: 24 }, (_, i) => {
    const x = span * (0.28 + (i % 6) * 0.125);
    const y = span * (0.02 + Math.floor(i / 6) * 0.105);
    return `box { <${x},${y},${z - span * 0.16}>, <${x + span * 0.115},${y + span * 0.095},${z}> texture { DrawerGrey } } cylinder { <${x + span * 0.057},${y + span * 0.045},${z - span * 0.175}>, <${x + span * 0.057},${y + span * 0.045},${z - span * 0.15}>, ${span * 0.012} texture { Brass } } box { <${x + span * 0.02},${y + span * 0.065},${z - span * 0.162}>, <${x + span * 0.095},${y + span * 0.085},${z - span * 0.15}> texture { Paper } }`;
  });
  const tools = [0, 1, 2, 3, 4, 5, 6].map((i) => {
    const x = -span * (0.86 - i * 0.12);
    const length = span * (0.42 - i * 0.03);
    const top = span * 0.62;
    return i < 4
      ? `union { torus { ${span * 0.03}, ${span * 0.011} rotate x*90 translate y*${top} } cylinder { y*${top - span * 0.03}, y*${top - length}, ${span * 0.013} } torus { ${span * 0.026}, ${span * 0.011} rotate x*90 translate y*${top - length - span * 0.02} } texture { Chrome } translate <${x},0,${z - span * 0.05}> }`
      : `union { cylinder { y*${top}, y*${top - length * 0.55}, ${span * 0.024} texture { ${i % 2 ? "SwitchRed" : "AbsOchre"} } } cylinder { y*${top - length * 0.55}, y*${top - length * 1.1}, ${span * 0.009} texture { Chrome } } translate <${x},0,${z - span * 0.05}> }`;
  });
  // a window to the left: seen only by what reflects it
  const window = `box { <-1,-1,0>, <1,1,0.1> scale <${span * 0.5},${span * 0.34},1> rotate <28,-58,0> translate <${-span * 1.25},${span * 1.05},${-span * 0.5}> pigment { rgb <1,0.98,0.94>*1.7 } finish { ambient 0 diffuse 0 emission 1 } no_shadow no_radiosity no_image }`;
  return `plane { z, ${z} texture { Plaster } }
box { <${-span * 1.05},${span * 0.1},${z - span * 0.03}>, <${span * 0.1},${span * 0.78},${z}> texture { BoardWood } }
${drawers.join("\n")}
${tools.join("\n")}
${window}`;
}
