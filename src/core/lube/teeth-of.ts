/** What teeth that mesh are of, as a bench tells it by eye and magnet: which pair decides what may go there. */
export const TEETH_OF = [
  { teeth: "steel", says: "steel on steel", materials: ["steel", "steel"] },
  { teeth: "yellow", says: "steel on brass or bronze", materials: ["steel", "bronze"] },
  { teeth: "mixed", says: "plastic on steel", materials: ["steel", "plastic"] },
  { teeth: "plastic", says: "plastic on plastic", materials: ["plastic", "plastic"] },
] as const;
