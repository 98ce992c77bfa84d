var __defProp = Object.defineProperty;
var __export = (target, all) => {
  for (var name in all)
    __defProp(target, name, { get: all[name], enumerable: true });
};

// src/work/make-workroom.ts
import { sql as sql2 } from "drizzle-orm";
import { migrate } from "drizzle-orm/node-postgres/migrator";

// src/db/connection.ts
import { drizzle } from "drizzle-orm/node-postgres";
import { Pool } from "pg";

// src/db/schema.ts
var schema_exports = {};
__export(schema_exports, {
  aloneLays: () => aloneLays,
  batches: () => batches,
  cloths: () => cloths,
  customers: () => customers,
  kindVersions: () => kindVersions,
  kinds: () => kinds,
  layShares: () => layShares,
  lays: () => lays,
  lineCloths: () => lineCloths,
  lineParts: () => lineParts,
  lineValues: () => lineValues,
  orderLines: () => orderLines,
  orders: () => orders,
  settings: () => settings
});
import { sql } from "drizzle-orm";
import {
  bigint,
  boolean,
  check,
  date,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  real,
  smallint,
  text,
  timestamp,
  unique,
  uniqueIndex
} from "drizzle-orm/pg-core";

// src/core/cloth/cloth.ts
var FIBRES = [
  "cotton",
  "linen",
  "wool",
  "silk",
  "mixed",
  "acrylic",
  "polyester",
  "fleece",
  "neoprene",
  "vinyl",
  "leather"
];
var WEIGHTS = ["light", "medium", "heavy"];
var GIVES = ["none", "little", "stretch"];

// src/core/covers/kind.ts
var CLOTH_ROLES = ["face", "back", "contrast", "boxing", "skirt", "flap", "pocket", "welt", "lining"];
var MATERIAL_ROLES = [
  "ticking",
  "batting",
  "fleece",
  "interfacing",
  "strap",
  "foam",
  "board",
  "underlining",
  "dust cover"
];
var ROLES = [...CLOTH_ROLES, ...MATERIAL_ROLES];

// src/core/covers/kinds/shared.ts
var seamOf = (usual, metric) => ({
  id: "seam",
  label: "Seam allowance",
  type: "length",
  default: usual,
  metric,
  hint: "per side"
});
var padMeasures = [
  { id: "width", label: "Width", hint: "across the pad, side seam to side seam over the curve", tape: "across" },
  { id: "height", label: "Height", hint: "down the pad, top seam to bottom seam over the curve", tape: "down" }
];
var blockMeasures = [
  { id: "length", label: "Length", hint: "along the front edge of the foam", tape: "front" },
  { id: "width", label: "Width", hint: "from the front edge to the back edge of the foam", tape: "deep" },
  { id: "thickness", label: "Thickness", hint: "the foam\u2019s thickness", tape: "high" }
];
var CAUTION = {
  cutter: "Close the rotary cutter whenever you put it down, and keep your fingers behind the ruler\u2019s edge.",
  iron: "Hot iron: try a scrap first, and stand it on its heel.",
  needle: "Keep fingers clear of the needle, and never sew over pins.",
  foam: "Foam, filling and cover cloth of furniture fall under local fire-safety rules. Follow your local code and qualified practice; nothing here certifies compliance.",
  adhesive: "Spray adhesive is flammable: ventilate, keep flames away, and let the solvent flash off.",
  staples: "Staple gun: wear eye protection, keep fingers out of line, and mind pulled staples.",
  small: "Buttons, cords and small snaps: keep them from infants and pets.",
  belt: "A pad on a vehicle belt can change how the belt works: the vehicle maker\u2019s advice goes first.",
  hotKnife: "Hot knife: cut on glass, ventilate the fumes, and only acrylics; natural fibres burn.",
  knife: "Foam saw or electric knife: clamp the foam, cut away from yourself, and unplug to change blades."
};
var cutStep = {
  do: "Press the cloth, square its end against the selvage and cut the parts; put a label on each.",
  caution: CAUTION.cutter
};
var piping = (qty, when) => ({
  name: "piping",
  role: "welt",
  qty,
  ...when && { when },
  width: "2 * seam + 2 * cord",
  length: "run + inch(6)",
  grain: "grain",
  loss: "2 * seam + 2 * cord",
  least: "min(inch(12), run + inch(6))"
});
var cordNotion = (qty, when) => ({
  name: "piping cord",
  qty,
  ...when && { when },
  length: "run + inch(2)",
  note: "{cord} cord"
});
var pipingOptions = (when) => [
  {
    id: "cord",
    label: "Cord",
    type: "length",
    default: "inch(1/4)",
    ...when && { when },
    hint: "the cord\u2019s diameter"
  },
  {
    id: "grain",
    label: "Piping cut",
    type: "choice",
    ...when && { when },
    choices: [
      { id: "bias", label: "on the bias" },
      { id: "straight", label: "on straight grain" }
    ],
    default: "bias"
  }
];
var YES_NO = [
  { id: "yes", label: "yes" },
  { id: "no", label: "no" }
];
var edgesOption = {
  id: "edges",
  label: "Raw edges",
  isRare: true,
  type: "choice",
  choices: [
    { id: "overlock", label: "overlocked or zigzagged" },
    { id: "pinked", label: "pinked" },
    { id: "hot-knife", label: "hot-knifed" },
    { id: "none", label: "left as cut" }
  ],
  default: "overlock"
};
var edgesSteps = [
  { do: "Overlock or zigzag the edges that fray.", when: "edges == 'overlock'" },
  { do: "Pink the raw edges.", when: "edges == 'pinked'", caution: CAUTION.cutter },
  { do: "Seal the raw edges with a hot knife on glass.", when: "edges == 'hot-knife'", caution: CAUTION.hotKnife }
];
var ownZip = {
  id: "zipLength",
  label: "Zip you have",
  type: "length",
  hint: "empty: the next stock length",
  isRare: true
};
var closureOption = {
  id: "closure",
  label: "Closure",
  isRare: true,
  type: "choice",
  choices: [
    { id: "zip", label: "zip" },
    { id: "tape", label: "hook-and-loop" }
  ],
  default: "zip"
};
var ZIPPED = "closure == 'zip'";
var TAPED = "closure == 'tape'";
var tapeFacing = (opening) => ({
  name: "tape facing",
  role: "face",
  qty: 2,
  when: TAPED,
  across: `${opening} + 2 * seam`,
  along: "inch(1 1/2)"
});
var zipShort = (seam, when = "zipLengthGiven") => ({
  code: "zip-short",
  field: "zipLength",
  level: "warn",
  when: `${when} && zipLengthGiven && zipLength < ${seam}`,
  message: `A zip of {zipLength} is shorter than its seam of {${seam}}; take a longer one and trim it.`
});
var zipLong = (seam, when = "zipLengthGiven") => ({
  code: "zip-long",
  field: "zipLength",
  level: "warn",
  when: `${when} && zipLengthGiven && zipLength > ${seam}`,
  message: `A zip of {zipLength} is longer than the {${seam}} it goes into; sew across a coil zip and cut it, or take a shorter one.`
});
var ownCord = (when) => ({
  id: "cordLength",
  label: "Cord you have",
  type: "length",
  hint: "empty: cut to the run",
  isRare: true,
  ...when && { when }
});
var cordShort = (when) => ({
  code: "cord-short",
  field: "cordLength",
  level: "warn",
  when: `${when} && cordLengthGiven && cordLength < run`,
  message: "A cord of {cordLength} is shorter than the run of {run}; it needs {run + inch(2)}."
});
var cordWide = (when) => ({
  code: "cord-wide",
  field: "cord",
  level: "warn",
  when: `${when} && cord > seam`,
  message: "A {cord} cord is thicker than the {seam} seam allowance; the foot will not reach the seam."
});
var pipingChoice = (all) => ({
  id: "piping",
  label: "Piping",
  type: "choice",
  choices: [{ id: "none", label: "none" }, ...all],
  default: "none"
});
var overlapChecks = (lies, what) => ["stop", "warn"].map((level) => ({
  code: "overlap-short",
  field: "overlap",
  level,
  when: level === "stop" ? `${lies} <= inch(0)` : `${lies} > inch(0) && ${lies} < inch(3)`,
  message: `The ${what} would overlap {${lies}}; {inch(3)} is the least that stays shut.`
}));

// src/core/covers/kinds/book-covers.ts
var wrapAndHeight = [
  {
    id: "wrap",
    label: "Wrap",
    hint: "front edge, round the spine, to back edge in one go, the book closed",
    tape: "wrap"
  },
  { id: "height", label: "Height", hint: "of the cover, top to bottom", tape: "tall" }
];
var flapLayers = (usual) => ({
  id: "flaps",
  label: "Flaps",
  isRare: true,
  type: "choice",
  choices: [
    { id: "doubled", label: "doubled, folded in half" },
    { id: "single", label: "single, hemmed" }
  ],
  default: usual
});
var paddedBookCover = {
  id: "padded-book-cover",
  letter: "L",
  name: "Book cover, lined and padded",
  version: 2,
  about: "Outer, lining and batting with two folded flaps; turned through a gap, so reversible.",
  drawing: "book",
  object: "book",
  fill: "firm",
  measures: [
    ...wrapAndHeight,
    {
      id: "board",
      label: "Board",
      hint: "thickness of the book\u2019s board, 1/8 in usual",
      tape: "board",
      default: "inch(1/8)"
    }
  ],
  options: [
    seamOf("inch(1/4)", "mm(6)"),
    { id: "flap", label: "Flap", type: "length", default: "inch(4)", hint: "how far each flap reaches in" },
    flapLayers("doubled")
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutWidth", is: "asCut ? wrap : wrap + 2 * seam + board" },
    { name: "cutHeight", is: "asCut ? height : height + 2 * seam + board" },
    // A single flap has one hem of 1/2 + 1/2 where the doubled one has its fold.
    { name: "flapWidth", is: "flaps == 'single' ? flap + seam + board + inch(1) : 2 * flap + 2 * seam + board" },
    { name: "stiffened", is: "flaps == 'single' ? flapWidth - inch(1) : flapWidth / 2" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam" },
  pieces: [
    {
      name: "outer",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "lining", role: "lining", qty: 1, across: "cutWidth", along: "cutHeight" },
    { name: "batting", role: "batting", qty: 1, across: "cutWidth", along: "cutHeight" },
    { name: "flap", role: "flap", qty: 2, across: "flapWidth", along: "cutHeight" },
    { name: "interfacing", role: "interfacing", qty: 2, across: "stiffened", along: "cutHeight" }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    {
      code: "flap-wide",
      field: "flap",
      level: "warn",
      when: "flap > wrap / 2",
      message: "Flaps of {flap} would meet inside a wrap of {wrap}; make them less than half."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Fuse interfacing to one half of each flap, fold the flaps in half and press.",
      when: "flaps == 'doubled'",
      caution: CAUTION.iron
    },
    {
      do: "Fuse interfacing to each flap up to its hem, turn the hem 1/2 + 1/2 and top-stitch.",
      stitch: "seam",
      when: "flaps == 'single'",
      caution: CAUTION.iron
    },
    {
      do: "Baste the batting to the outer; lay the flaps on it, raw edges out, then the lining face down.",
      stitch: "basting"
    },
    { do: "Sew all round at the seam allowance, leaving a gap of 2 to 3 in.", stitch: "seam", caution: CAUTION.needle },
    { do: "Clip the corners, turn through the gap with a blunt point, press and close the gap." },
    { do: "Check: it goes over the closed book without pulling the boards." }
  ]
};
var hemmedBookCover = {
  id: "hemmed-book-cover",
  letter: "M",
  name: "Book cover with hemmed flaps",
  version: 2,
  about: "Outer and lining with two hemmed flaps, and a pocket if wanted; sewn at 3/8 in.",
  drawing: "book",
  object: "book",
  fill: "firm",
  measures: [...wrapAndHeight, { id: "cover", label: "Cover", hint: "the width of one cover alone", tape: "cover" }],
  options: [
    seamOf("inch(3/8)", "cm(1)"),
    flapLayers("single"),
    {
      id: "hem",
      label: "Flap hems",
      type: "hem",
      default: ["inch(1/2)", "inch(1/2)"],
      metric: ["cm(1)", "cm(1)"],
      when: "flaps == 'single'"
    },
    { id: "spine", isRare: true, label: "Spine", type: "length", hint: "its thickness, to prove the wrap" },
    { id: "pocketWidth", label: "Pocket width", type: "length", hint: "finished; empty: no pocket" },
    { id: "pocketHeight", label: "Pocket height", type: "length", hint: "finished; empty: no pocket" }
  ],
  defaultFit: "true",
  allowance: { true: "inch(1)" },
  results: [
    { name: "cutWidth", is: "wrap + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    // A doubled flap reaches in as far as the hemmed one does, twice, with a seam at its raw edges.
    { name: "reach", is: "cover - inch(1/2) - seam - inch(1)" },
    { name: "flapWidth", is: "flaps == 'single' ? cover - inch(1/2) : 2 * (reach + seam)" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam" },
  pieces: [
    {
      name: "outer",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "lining", role: "lining", qty: 1, across: "cutWidth", along: "cutHeight" },
    { name: "flap", role: "flap", qty: 2, across: "flapWidth", along: "cutHeight" },
    {
      name: "pocket",
      role: "pocket",
      qty: 2,
      when: "pocketWidthGiven && pocketHeightGiven",
      across: "pocketWidth + inch(1)",
      along: "pocketHeight + inch(1)"
    }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    {
      code: "wrap-short",
      field: "wrap",
      level: "warn",
      when: "wrap < 2 * cover + spine",
      message: "A wrap of {wrap} is less than two covers of {cover} and a spine; one of them is misread."
    },
    {
      code: "pocket-half",
      field: "pocketHeight",
      level: "warn",
      when: "pocketWidthGiven != pocketHeightGiven",
      message: "A pocket needs its width and its height; it is left out."
    },
    {
      code: "pocket-large",
      field: "pocketWidth",
      level: "warn",
      when: "pocketWidthGiven && (pocketWidth > cover || pocketHeight > height)",
      message: "A pocket of {pocketWidth} by {pocketHeight} is larger than the cover of {cover} by {height}."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Hem one long edge of each flap: press the turns, then stitch along the fold.",
      stitch: "seam",
      when: "flaps == 'single'",
      caution: CAUTION.iron
    },
    { do: "Fold each flap in half along its length and press.", when: "flaps == 'doubled'", caution: CAUTION.iron },
    {
      do: "Sew the pocket\u2019s layers together, turn, and stitch it to the lining.",
      stitch: "seam",
      when: "pocketWidthGiven && pocketHeightGiven"
    },
    {
      do: "Lay the flaps on the outer, the lining face down over them, and sew all round at 3/8 in, leaving a gap.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Clip the corners, turn with a blunt point, press and close the gap." },
    { do: "Check: it goes over the closed book, the flaps hold both boards." }
  ]
};
var vinylBookCover = {
  id: "vinyl-book-cover",
  letter: "N",
  name: "Book cover, one layer of vinyl",
  version: 2,
  about: "One layer with turned-in flaps; edges stitched by hand or glued. Square the hide or offcut first.",
  drawing: "book",
  object: "book",
  fill: "firm",
  measures: wrapAndHeight,
  options: [
    { id: "flap", label: "Flap", type: "length", default: "inch(3)", hint: "each; up to 7 in" },
    { id: "margin", label: "Margin", type: "length", default: "mm(5)", hint: "beyond the book at top and bottom" },
    seamOf("mm(4)", "mm(4)")
  ],
  defaultFit: "true",
  allowance: { true: "2 * margin" },
  results: [
    { name: "cutWidth", is: "asCut ? wrap : wrap + 2 * flap" },
    { name: "cutHeight", is: "height + allowance" }
  ],
  finished: { width: "asCut ? wrap - 2 * flap : wrap", height: "cutHeight" },
  pieces: [{ name: "cover", role: "face", qty: 1, across: "cutWidth", along: "cutHeight" }],
  strips: [],
  notions: [
    {
      name: "thread",
      qty: "1",
      length: "4 * cutHeight + 4 * flap",
      note: "waxed, for stitching 3 to 4 mm in; or adhesive"
    }
  ],
  checks: [
    {
      code: "flap-wide",
      field: "flap",
      level: "warn",
      when: "flap > inch(7)",
      message: "A flap of {flap} is more than the 7 in that are usual at most."
    }
  ],
  steps: [
    { do: "Square the hide or offcut, then cut the cover.", caution: CAUTION.cutter },
    { do: "Fold the flaps in round the book\u2019s boards and clip them." },
    { do: "Stitch the edges by hand 3 to 4 mm in, or glue them.", caution: CAUTION.adhesive },
    { do: "Check: the book opens flat." }
  ]
};

// src/core/covers/kinds/boxed-cushion.ts
var boxedCushion = {
  id: "boxed-cushion",
  letter: "G",
  name: "Boxed cushion with a zip panel",
  version: 2,
  about: "Top and bottom plates, boxing round the sides, a zip panel along the back, with or without piping.",
  drawing: "box",
  object: "block",
  fill: "firm",
  measures: blockMeasures,
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    pipingChoice([
      { id: "top", label: "at the top" },
      { id: "both", label: "top and bottom" }
    ]),
    ...pipingOptions("piping != 'none'"),
    ownCord("piping != 'none'"),
    {
      id: "boxing",
      label: "Boxing",
      type: "choice",
      choices: [
        { id: "corners", label: "seams at corners" },
        { id: "wrap", label: "one strip round" }
      ],
      default: "corners"
    },
    closureOption,
    { ...ownZip, when: ZIPPED },
    { id: "foamLength", isRare: true, label: "Foam length", type: "length", hint: "when it is not the size measured" },
    { id: "foamWidth", isRare: true, label: "Foam width", type: "length", hint: "when it is not the size measured" },
    edgesOption
  ],
  defaultFit: "true",
  // Foam covers are cut true size, or 1/4 to 1/2 under in each direction so that the foam fills the corners.
  allowance: { true: "2 * seam", snug: "2 * seam - inch(1/4)", overfull: "2 * seam - inch(1/2)" },
  results: [
    { name: "cutLength", is: "length + allowance" },
    { name: "cutWidth", is: "width + allowance" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + 2 * seam" },
    { name: "panelHalf", is: "asCut ? (thickness + 2 * seam) / 2 : (thickness + 4 * seam) / 2" },
    { name: "run", is: "2 * (cutLength - 2 * seam + cutWidth - 2 * seam)" },
    { name: "round", is: "cutLength + 2 * (cutWidth - 2 * seam)" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockUp(cutLength - 2 * seam)" }
  ],
  finished: { width: "cutLength - 2 * seam", height: "cutWidth - 2 * seam", thickness: "boxingHeight - 2 * seam" },
  pieces: [
    {
      name: "top",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutLength",
      along: "cutWidth",
      match: { anchor: ["seam", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "bottom",
      role: "back",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutLength",
      along: "cutWidth"
    },
    {
      name: "front boxing",
      role: "boxing",
      qty: 1,
      when: "boxing == 'corners'",
      across: "cutLength",
      along: "boxingHeight",
      // The boxing hangs from the top's front seam line: the two seam lines share the pattern.
      match: { anchor: ["seam", "boxingHeight - seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "side boxing",
      role: "boxing",
      qty: 2,
      when: "boxing == 'corners'",
      across: "cutWidth",
      along: "boxingHeight"
    },
    { name: "zip panel half", role: "boxing", qty: 2, when: ZIPPED, across: "cutLength", along: "panelHalf" },
    // Closed as kind H is: one strip of full width, one of half width with the tape.
    { name: "closure, full width", role: "boxing", qty: 1, when: TAPED, across: "cutLength", along: "boxingHeight" },
    {
      name: "closure, half width",
      role: "boxing",
      qty: 1,
      when: TAPED,
      across: "cutLength",
      along: "boxingHeight / 2"
    }
  ],
  strips: [
    {
      name: "boxing",
      role: "boxing",
      qty: "1",
      when: "boxing == 'wrap'",
      width: "boxingHeight",
      length: "round",
      grain: "'straight'",
      loss: "2 * seam",
      least: "min(inch(12), round)"
    },
    piping("piping == 'both' ? 2 : 1", "piping != 'none'")
  ],
  notions: [
    { name: "zip", qty: "1", when: ZIPPED, length: "zip", note: "coil, trimmed to fit" },
    { name: "hook-and-loop", qty: "1", when: TAPED, length: "cutLength - 2 * seam", note: "along the back" },
    cordNotion("piping == 'both' ? 2 : 1", "piping != 'none'"),
    {
      name: "foam",
      qty: "1",
      note: "{foamLengthGiven ? foamLength : length} x {foamWidthGiven ? foamWidth : width} x {thickness}"
    }
  ],
  centre: ["cutLength / 2", "cutWidth / 2"],
  checks: [
    cordWide("piping != 'none'"),
    cordShort("piping != 'none'"),
    zipShort("(cutLength - 2 * seam)", ZIPPED),
    {
      code: "foam-large",
      field: "foamLength",
      level: "warn",
      when: "foamLengthGiven && foamLength > cutLength - 2 * seam + inch(1/2)",
      message: "Foam {foamLength} long is more than a cover of {cutLength - 2 * seam} takes; trim the foam or cut the cover longer."
    },
    {
      code: "foam-large",
      field: "foamWidth",
      level: "warn",
      when: "foamWidthGiven && foamWidth > cutWidth - 2 * seam + inch(1/2)",
      message: "Foam {foamWidth} wide is more than a cover of {cutWidth - 2 * seam} takes; trim the foam or cut the cover wider."
    },
    {
      code: "boxing-low",
      field: "thickness",
      level: "warn",
      when: `${ZIPPED} && thickness < inch(1)`,
      message: "A boxing of {thickness} is too low for a zip panel; 1 in is the least that takes a coil zip."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Join the piping strips at 45 degrees, never at a corner; wrap the cord and sew it in.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping != 'none'",
      caution: CAUTION.needle
    },
    {
      do: "Sew the piping round the top along the seam line; clip its allowance at the corners.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping == 'top'"
    },
    {
      do: "Sew the piping round top and bottom along the seam line; clip its allowance at the corners.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping == 'both'"
    },
    {
      do: "Press the long edge of each zip panel half under, lay both along the zip and stitch close to the fold.",
      stitch: "seam",
      foot: "zip foot",
      when: ZIPPED,
      caution: CAUTION.iron
    },
    {
      do: "Hem one long edge of both closure strips, sew hook-and-loop to them and lay the half under the full one.",
      stitch: "seam",
      when: TAPED,
      caution: CAUTION.needle
    },
    {
      do: "Sew front and side boxing together at the corners, then close the ring with the closure.",
      stitch: "seam",
      when: "boxing == 'corners'"
    },
    {
      do: "Join the boxing strip if it has joins, then close the ring with the closure; mark the corners.",
      stitch: "seam",
      when: "boxing == 'wrap'"
    },
    {
      do: "Sew the boxing to the top, corners clipped to the stitch; the stripe meets along the front seam line.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    ...edgesSteps,
    { do: "Open the closure half way, then sew the boxing to the bottom.", stitch: "seam" },
    { do: "Turn, press the seams, fill with the foam.", caution: CAUTION.foam },
    {
      do: "Check: corners full, stripe meets within 1/8 in, no pull at the piping\u2019s corners, the closure shuts flat."
    }
  ]
};

// src/core/covers/kinds/envelope-cushion.ts
var envelopeCushion = {
  id: "envelope-cushion",
  letter: "A",
  name: "Envelope cushion",
  version: 2,
  about: "One front and two hemmed backs that overlap; no closure.",
  drawing: "envelope",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "hem",
      label: "Back hems",
      type: "hem",
      default: ["inch(1/4)", "inch(1/4)"],
      metric: ["mm(6)", "mm(6)"],
      hint: "one turn, or two with a +"
    },
    {
      id: "overlap",
      label: "Overlap",
      type: "length",
      hint: "how far the backs lie over each other; 6 in unless the back is given"
    },
    {
      id: "backCut",
      label: "Back cut",
      type: "length",
      hint: "each back\u2019s cut height, when you fix that instead of the overlap"
    },
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    { name: "wanted", is: "overlapGiven ? overlap : inch(6)", inline: true },
    { name: "back", is: "backCutGiven ? backCut : (cutHeight + wanted) / 2 + hem" },
    { name: "lies", is: "2 * (back - hem) - cutHeight" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam", overlap: "lies" },
  pieces: [
    {
      name: "front",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "back panel", role: "back", qty: 2, across: "cutWidth", along: "back" }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    ...overlapChecks("lies", "back panels"),
    {
      code: "overlap-over-panel",
      field: "overlap",
      level: "warn",
      when: "lies > back - hem",
      message: "An overlap of {lies} is more than a back panel covers ({back - hem} hemmed); make it less."
    },
    {
      code: "overlap-disagrees",
      field: "overlap",
      level: "warn",
      when: "backCutGiven && overlapGiven && overlap != lies",
      message: "Backs cut at {backCut} overlap {lies}, not {overlap}; the back cut is used. Clear one of the two."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Hem one long edge of each back panel: press the turns, then stitch along the fold.",
      stitch: "seam",
      caution: CAUTION.iron
    },
    { do: "Lay the front face up, the upper back face down on it, then the lower back; pin the four sides." },
    {
      do: "Sew round all four sides at the seam allowance; backstitch where the hems cross.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Clip the corners." },
    ...edgesSteps,
    { do: "Turn with a blunt point and press.", caution: CAUTION.iron },
    { do: "Check: diagonals equal, the overlap stays shut over the pad." }
  ]
};

// src/core/covers/kinds/flanged-cushion.ts
var flangedCushion = {
  id: "flanged-cushion",
  letter: "E",
  name: "Flanged cushion",
  version: 2,
  about: "A flat flange stands out round the pad; the back is in two hemmed parts.",
  drawing: "flange",
  object: "pad",
  fill: "soft",
  measures: [...padMeasures, { id: "flange", label: "Flange", hint: "how far the flange stands out", tape: "edge" }],
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "hem",
      label: "Back hems",
      type: "hem",
      default: ["inch(1/4)", "inch(1/4)"],
      metric: ["mm(6)", "mm(6)"],
      hint: "one turn, or two with a +"
    },
    {
      id: "overlap",
      label: "Overlap",
      type: "length",
      default: "inch(6)",
      hint: "how far the backs lie over each other"
    },
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "asCut ? width : width + 2 * flange + allowance" },
    { name: "cutHeight", is: "asCut ? height : height + 2 * flange + allowance" },
    { name: "back", is: "(cutHeight + overlap) / 2 + hem" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam", flange: "flange" },
  pieces: [
    {
      name: "front",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "back panel", role: "back", qty: 2, across: "cutWidth", along: "back" }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    ...overlapChecks("overlap", "back panels"),
    {
      code: "flange-wide",
      field: "flange",
      level: "warn",
      when: "flange > min(width, height) / 3",
      message: "A flange of {flange} is wide for this pad and will flop; up to a third of the pad is usual."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Hem one long edge of each back panel: press the turns, then stitch along the fold.",
      stitch: "seam",
      caution: CAUTION.iron
    },
    {
      do: "Lay the backs over the front right sides together and sew all round at the seam allowance.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    ...edgesSteps,
    { do: "Clip the corners, turn with a blunt point, press, and mark the flange all round." },
    {
      do: "Stitch the flange in along the mark; on a bold pattern all four lines fall at the same place of the pattern.",
      stitch: "seam"
    },
    { do: "Check: flange equal on four sides within 1/8 in, corners square." }
  ]
};

// src/core/covers/kinds/flap-zip-cushion.ts
var flapZipCushion = {
  id: "flap-zip-cushion",
  letter: "D",
  name: "Cushion with a zip across the back under a flap",
  version: 2,
  about: "The back is cut in two, with a zip under a flap; both sides are trimmed to the front.",
  drawing: "flap",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "flap",
      label: "Flap",
      type: "choice",
      choices: [
        { id: "strip", label: "a separate strip" },
        { id: "fold", label: "a fold of the back" }
      ],
      default: "strip"
    },
    {
      id: "edge",
      label: "Edge",
      type: "choice",
      choices: [
        { id: "seamed", label: "seamed" },
        { id: "bound", label: "basted and bound" }
      ],
      default: "seamed"
    },
    ownZip,
    { ...edgesOption, when: "edge == 'seamed'" }
  ],
  defaultFit: "snug",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    { name: "backHeight", is: "flap == 'strip' ? cutHeight + inch(3/2) : cutHeight + inch(9/2)" },
    { name: "round", is: "2 * (cutWidth + cutHeight)" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockUp(cutWidth + inch(1/2))" }
  ],
  finished: {
    width: "edge == 'bound' ? cutWidth : cutWidth - 2 * seam",
    height: "edge == 'bound' ? cutHeight : cutHeight - 2 * seam"
  },
  pieces: [
    {
      name: "front",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "back", role: "back", qty: 1, across: "cutWidth", along: "backHeight" },
    { name: "flap", role: "back", qty: 1, when: "flap == 'strip'", across: "cutWidth", along: "inch(4)" }
  ],
  strips: [
    {
      name: "binding",
      role: "welt",
      qty: "1",
      when: "edge == 'bound'",
      width: "inch(2)",
      length: "round + inch(6)",
      grain: "'bias'",
      loss: "inch(2)",
      least: "min(inch(12), round + inch(6))"
    }
  ],
  notions: [{ name: "zip", qty: "1", length: "zip", note: "coil, longer than the cover and trimmed" }],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [zipShort("cutWidth")],
  steps: [
    cutStep,
    { do: "Cut the back in two at half its height." },
    { do: "Fold the flap strip in half lengthwise and press.", when: "flap == 'strip'", caution: CAUTION.iron },
    { do: "Fold 2 in of the upper back over for the flap and press.", when: "flap == 'fold'", caution: CAUTION.iron },
    {
      do: "Sew the zip between the two backs, the flap over it.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.needle
    },
    { do: "Trim the back to the front. Open the zip half way before the last seam." },
    { do: "Sew round all four sides at the seam allowance.", stitch: "seam", when: "edge == 'seamed'" },
    { do: "Baste round at 1/8 in and bind the edge.", stitch: "basting", when: "edge == 'bound'" },
    ...edgesSteps,
    { do: "Turn with a blunt point, press and fill.", caution: CAUTION.iron },
    { do: "Check: the zip runs under its flap." }
  ]
};

// src/core/covers/kinds/floor-cushion.ts
var floorCushion = {
  id: "floor-cushion",
  letter: "F",
  name: "Floor cushion",
  version: 2,
  about: "Two faces of different cloth with ticking mounted behind, cut under the form so that it stays plump.",
  drawing: "flat",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "ticking",
      label: "Inner ticking",
      type: "choice",
      choices: YES_NO,
      default: "yes"
    },
    closureOption,
    { ...ownZip, when: ZIPPED },
    edgesOption
  ],
  defaultFit: "overfull",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockDown(cutWidth - inch(4))" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam" },
  pieces: [
    {
      name: "top face",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "under face", role: "back", qty: 1, across: "cutWidth", along: "cutHeight" },
    tapeFacing("(cutWidth - inch(4))"),
    { name: "ticking", role: "ticking", qty: 2, when: "ticking == 'yes'", across: "cutWidth", along: "cutHeight" }
  ],
  strips: [],
  notions: [
    {
      name: "zip",
      qty: "1",
      when: `${ZIPPED} && zip > inch(0)`,
      length: "zip",
      note: "about 4 in under the edge"
    },
    { name: "hook-and-loop", qty: "1", when: TAPED, length: "cutWidth - inch(4)", note: "on the facings" }
  ],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    zipLong("(cutWidth - 2 * seam)", ZIPPED),
    {
      code: "zip-none",
      field: "width",
      level: "warn",
      when: `${ZIPPED} && zip == inch(0)`,
      message: "No stock zip is 4 in shorter than an edge of {cutWidth}."
    }
  ],
  steps: [
    cutStep,
    { do: "Mount each face on its ticking: baste round at 1/4 in.", stitch: "basting", when: "ticking == 'yes'" },
    ...edgesSteps,
    {
      do: "Sew the zip into the bottom seam; open it half way.",
      stitch: "seam",
      foot: "zip foot",
      when: ZIPPED,
      caution: CAUTION.needle
    },
    {
      do: "Sew a facing to each side of the opening and hook-and-loop to the facings; sew the seam shut beyond it.",
      stitch: "seam",
      when: TAPED,
      caution: CAUTION.needle
    },
    { do: "Right sides together, sew the three other sides; sew again over the corners.", stitch: "seam" },
    { do: "Clip the corners, turn with a blunt point, press and fill.", caution: CAUTION.foam },
    { do: "Check: corners full, the opening shuts." }
  ]
};

// src/core/covers/kinds/pillow-top-stool.ts
var skirt = (when, outlineOf) => [
  ["long skirt", "cutLength"],
  ["short skirt", "cutWidth"]
].map(([name, across]) => {
  const outline = outlineOf(across);
  return {
    name,
    role: "skirt",
    qty: 2,
    when,
    across,
    along: "skirtHeight",
    ...outline && { outline },
    ...name === "long skirt" && {
      match: { anchor: ["seam", "skirtHeight - seam"], delta: ["inch(0)", "inch(0)"] }
    }
  };
});
var mitred = (across) => [
  ["inch(0)", "inch(0)"],
  [across, "inch(0)"],
  [across, "skirtHeight - mitre"],
  [`${across} - mitre`, "skirtHeight"],
  ["mitre", "skirtHeight"],
  ["inch(0)", "skirtHeight - mitre"]
];
var pillowTopStool = {
  id: "pillow-top-stool",
  letter: "K",
  name: "Stool with a pillow top and a skirt",
  version: 2,
  about: "A piped, boxed pillow on top; a skirt joined to its underside and stapled to the frame.",
  drawing: "stool",
  object: "stool",
  fill: "soft",
  measures: [
    { id: "length", label: "Length", hint: "seam to seam along the finished top", tape: "front" },
    { id: "width", label: "Width", hint: "seam to seam across the finished top", tape: "deep" },
    { id: "thickness", label: "Thickness", hint: "of the pillow at its edge", tape: "high" },
    { id: "drop", label: "Drop", hint: "from the seam to the underside of the frame", tape: "drop" }
  ],
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    { id: "pull", label: "Pull", type: "length", default: "inch(2)", hint: "what goes under the frame to be stapled" },
    {
      id: "inset",
      label: "Inset",
      type: "length",
      default: "inch(1/2)",
      hint: "how far from the pillow\u2019s edge the skirt joins: 1/2 to 4 in"
    },
    {
      id: "corners",
      label: "Skirt corners",
      type: "choice",
      choices: [
        { id: "mitred", label: "mitred above the frame" },
        { id: "straight", label: "cut straight" }
      ],
      default: "mitred"
    },
    {
      id: "otherDrop",
      isRare: true,
      label: "Drop, other side",
      type: "length",
      hint: "measured again on the next side"
    },
    ...pipingOptions(void 0),
    ownCord(void 0),
    ownZip,
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutLength", is: "length + allowance" },
    { name: "cutWidth", is: "width + allowance" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + 2 * seam" },
    { name: "boxingLength", is: "cutLength + cutWidth - 2 * seam" },
    { name: "skirtHeight", is: "asCut ? drop : drop + pull" },
    // The mitre's seam takes the inset off both ways; its cut edge lies a seam allowance outside it.
    { name: "mitre", is: "min(inset + 2 * seam - diagonal(seam, seam), min(cutWidth / 2, skirtHeight))", inline: true },
    { name: "run", is: "2 * (cutLength - 2 * seam + cutWidth - 2 * seam)" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockDown(diagonal(cutLength, cutWidth) - inch(4))" }
  ],
  finished: {
    width: "cutLength - 2 * seam",
    height: "cutWidth - 2 * seam",
    thickness: "boxingHeight - 2 * seam",
    skirt: "asCut ? drop - pull : drop"
  },
  pieces: [
    {
      name: "top",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutLength",
      along: "cutWidth",
      match: { anchor: ["seam", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "bottom",
      role: "back",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutLength",
      along: "cutWidth"
    },
    { name: "boxing", role: "boxing", qty: 2, across: "boxingLength", along: "boxingHeight" },
    ...skirt("corners == 'mitred'", (across) => mitred(across)),
    ...skirt("corners == 'straight'", () => void 0)
  ],
  strips: [piping("2", void 0)],
  notions: [
    cordNotion("2", void 0),
    { name: "zip", qty: "1", when: "zip > inch(0)", length: "zip", note: "on the diagonal of the hidden underside" },
    { name: "staples", qty: "whole(2 * (length + width) / inch(1))", note: "about one an inch round the frame" }
  ],
  centre: ["cutLength / 2", "cutWidth / 2"],
  checks: [
    {
      code: "inset-range",
      field: "inset",
      level: "warn",
      when: "inset < inch(1/2) || inset > inch(4)",
      message: "The skirt joins the underside 1/2 to 4 in from its edge; {inset} is outside that."
    },
    {
      code: "pull-short",
      field: "pull",
      level: "warn",
      when: "!asCut && pull < inch(3/2)",
      message: "A pull of {pull} is too short to staple; 2 in is usual."
    },
    {
      code: "drops-disagree",
      field: "otherDrop",
      level: "warn",
      when: "otherDropGiven && otherDrop != drop",
      message: "One side drops {drop} and the other {otherDrop}; measure again, or cut all skirts to the longer."
    },
    cordWide("cord > inch(0)"),
    cordShort("cord > inch(0)"),
    zipLong("diagonal(cutLength, cutWidth)")
  ],
  steps: [
    cutStep,
    {
      do: "Set the zip into a diagonal cut of the bottom; open it half way.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.needle
    },
    {
      do: "Join the piping strips at 45 degrees, wrap the cord, and sew it round top and bottom.",
      stitch: "upholstery",
      foot: "piping foot",
      caution: CAUTION.needle
    },
    { do: "Seam the two boxing lengths at the corners and sew them between top and bottom.", stitch: "upholstery" },
    {
      do: "Sew the skirt\u2019s corners straight up to the frame\u2019s height and mitre them above; join it to the underside {inset} from the edge.",
      stitch: "upholstery",
      when: "corners == 'mitred'"
    },
    {
      do: "Sew the skirt\u2019s corners straight; join it to the underside {inset} from the edge.",
      stitch: "upholstery",
      when: "corners == 'straight'"
    },
    ...edgesSteps,
    { do: "Pull the skirt over the frame and staple under it, middles first.", caution: CAUTION.staples },
    {
      do: "Fill the pillow. Check: corners full, no pull at the piping, the skirt hangs straight.",
      caution: CAUTION.foam
    }
  ]
};

// src/core/covers/kinds/platform-boxed.ts
var platformBoxed = {
  id: "platform-boxed",
  letter: "I",
  name: "Stapled platform cushion with sewn boxing",
  version: 2,
  about: "A plate and four boxing parts over foam, pulled round the platform and stapled.",
  drawing: "box",
  object: "block",
  fill: "firm",
  measures: blockMeasures,
  options: [
    seamOf("inch(1/4)", "mm(6)"),
    { id: "grip", label: "Grip", type: "length", default: "inch(3)", hint: "allowance, wrap and what the hand pulls" }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "plateLength", is: "length + allowance" },
    { name: "plateWidth", is: "width + allowance" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + grip" }
  ],
  finished: {
    width: "plateLength - 2 * seam",
    height: "plateWidth - 2 * seam",
    thickness: "asCut ? thickness - grip : thickness"
  },
  pieces: [
    {
      name: "plate",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "plateLength",
      along: "plateWidth",
      match: { anchor: ["seam", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "long boxing",
      role: "boxing",
      qty: 2,
      across: "plateLength",
      along: "boxingHeight",
      match: { anchor: ["seam", "boxingHeight - seam"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "short boxing", role: "boxing", qty: 2, across: "plateWidth", along: "boxingHeight" },
    { name: "dust cover", role: "dust cover", qty: 1, across: "length", along: "width" }
  ],
  strips: [],
  notions: [
    { name: "foam", qty: "1", note: "{length} x {width} x {thickness}" },
    { name: "staples", qty: "whole(2 * (length + width) / inch(1))", note: "about one an inch round the edge" }
  ],
  centre: ["plateLength / 2", "plateWidth / 2"],
  checks: [
    {
      code: "grip-short",
      field: "grip",
      level: "warn",
      when: "grip < inch(2)",
      message: "A grip of {grip} leaves nothing to pull; 3 in is usual, 2 in the least."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Sew the boxing to the plate, then the corners; cloth pulls for tufts come from scraps.",
      stitch: "upholstery",
      caution: CAUTION.needle
    },
    { do: "Glue the foam to the platform and let it flash off.", caution: CAUTION.adhesive },
    {
      do: "Pull the cover over, staple the middle of each side first, then towards the corners.",
      caution: CAUTION.staples
    },
    { do: "Staple the dust cover under it.", caution: CAUTION.staples },
    { do: "Check: seams run along the edges, tufts equally deep, no pull at the corners.", caution: CAUTION.foam }
  ]
};

// src/core/covers/kinds/platform-notched.ts
var platformNotched = {
  id: "platform-notched",
  letter: "J",
  name: "Stapled platform cushion, one notched plate",
  version: 2,
  about: "One plate with its corners cut out; only the four corner seams are sewn.",
  drawing: "box",
  object: "block",
  fill: "firm",
  measures: [
    ...blockMeasures,
    { id: "wrap", label: "Wrap", hint: "what goes under the board to be stapled", tape: "under" }
  ],
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    {
      id: "under",
      label: "Under",
      type: "length",
      default: "inch(1/2)",
      hint: "how much smaller the span between the notches is"
    }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "plateLength", is: "asCut ? length : length + 2 * (thickness + wrap)" },
    { name: "plateWidth", is: "asCut ? width : width + 2 * (thickness + wrap)" },
    { name: "foamLength", is: "asCut ? length - 2 * (thickness + wrap) : length", inline: true },
    { name: "foamWidth", is: "asCut ? width - 2 * (thickness + wrap) : width", inline: true },
    { name: "notchAcross", is: "(plateLength - (foamLength + 2 * seam - under)) / 2" },
    { name: "notchAlong", is: "(plateWidth - (foamWidth + 2 * seam - under)) / 2" }
  ],
  finished: { width: "foamLength", height: "foamWidth", thickness: "thickness" },
  pieces: [
    {
      name: "plate",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "plateLength",
      along: "plateWidth",
      outline: [
        ["notchAcross", "inch(0)"],
        ["plateLength - notchAcross", "inch(0)"],
        ["plateLength - notchAcross", "notchAlong"],
        ["plateLength", "notchAlong"],
        ["plateLength", "plateWidth - notchAlong"],
        ["plateLength - notchAcross", "plateWidth - notchAlong"],
        ["plateLength - notchAcross", "plateWidth"],
        ["notchAcross", "plateWidth"],
        ["notchAcross", "plateWidth - notchAlong"],
        ["inch(0)", "plateWidth - notchAlong"],
        ["inch(0)", "notchAlong"],
        ["notchAcross", "notchAlong"]
      ],
      match: { anchor: ["plateLength / 2", "plateWidth / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "underlining",
      role: "underlining",
      qty: 1,
      across: "foamLength + inch(1/2)",
      along: "foamWidth + inch(1/2)"
    },
    { name: "board", role: "board", qty: 1, across: "foamLength - inch(1/4)", along: "foamWidth - inch(1/4)" }
  ],
  strips: [],
  notions: [
    {
      name: "corner notch",
      qty: "4",
      length: "notchAcross",
      note: "{notchAcross} by {notchAlong}, cut out of each corner"
    },
    { name: "foam", qty: "1", note: "{foamLength} x {foamWidth} x {thickness}" },
    { name: "staples", qty: "whole(2 * (foamLength + foamWidth) / inch(1))", note: "about one an inch round the edge" }
  ],
  centre: ["plateLength / 2", "plateWidth / 2"],
  checks: [
    {
      code: "notch-none",
      field: "wrap",
      level: "stop",
      when: "notchAcross <= inch(0) || notchAlong <= inch(0)",
      message: "The corner notches would be {notchAcross} by {notchAlong}; make the wrap more."
    },
    {
      code: "under-wide",
      field: "under",
      level: "warn",
      when: "under > inch(1)",
      message: "A span {under} smaller strains the corner seams; 1/2 in is usual."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Cut the corner notches out and sew only the four corner seams.",
      stitch: "upholstery",
      caution: CAUTION.needle
    },
    { do: "Round the board\u2019s corners; glue the foam to the board and let it flash off.", caution: CAUTION.adhesive },
    {
      do: "Pull the cover over and staple the middle of each side first, then towards the corners.",
      caution: CAUTION.staples
    },
    { do: "Staple the underlining over the raw edges.", caution: CAUTION.staples },
    { do: "Check: corner seams stand on the corners, equal diagonals.", caution: CAUTION.foam }
  ]
};

// src/core/covers/kinds/small-covers.ts
var deviceSleeve = {
  id: "device-sleeve",
  letter: "O",
  name: "Sleeve for a tablet",
  version: 2,
  about: "Two sides of neoprene with contrast panels and a thumb notch; loop and button if wanted.",
  drawing: "sleeve",
  object: "device",
  fill: "firm",
  measures: [
    { id: "width", label: "Width", hint: "of the device", tape: "across" },
    { id: "length", label: "Length", hint: "of the device", tape: "long" },
    { id: "depth", label: "Depth", hint: "how thick the device is", tape: "deep" }
  ],
  options: [
    seamOf("inch(1/4)", "mm(6)"),
    { id: "ease", label: "Ease", type: "length", default: "inch(3/8)", hint: "3/8 to 1/2 in" },
    { id: "button", label: "Loop and button", type: "choice", choices: YES_NO, default: "yes" }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutWidth", is: "asCut ? width : width + depth + 2 * seam + ease" },
    { name: "cutLength", is: "asCut ? length : length + depth + seam + inch(1/2)" },
    { name: "panelWidth", is: "cutWidth - inch(1)" },
    { name: "frontPanel", is: "cutLength - inch(7/4)" },
    { name: "backPanel", is: "cutLength - inch(3/4)" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutLength - seam" },
  pieces: [
    {
      name: "front side",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutLength",
      // The thumb notch, half round, 2 in wide and 1 in deep, in the middle of the upper edge.
      outline: [
        ["inch(0)", "inch(0)"],
        ["cutWidth", "inch(0)"],
        ["cutWidth", "cutLength"],
        ["cutWidth / 2 + inch(1)", "cutLength"],
        { centre: ["cutWidth / 2", "cutLength"], radius: "inch(1)", from: 0, to: -180 },
        ["cutWidth / 2 - inch(1)", "cutLength"],
        ["inch(0)", "cutLength"]
      ]
    },
    { name: "back side", role: "face", qty: 1, across: "cutWidth", along: "cutLength" },
    { name: "front panel", role: "contrast", qty: 1, across: "panelWidth", along: "frontPanel" },
    { name: "back panel", role: "contrast", qty: 1, across: "panelWidth", along: "backPanel" }
  ],
  strips: [],
  notions: [
    { name: "cord loop", qty: "1", when: "button == 'yes'", length: "inch(5)", note: "caught in the back\u2019s edge" },
    { name: "button", qty: "1", when: "button == 'yes'", note: "5/8 in below the thumb notch" }
  ],
  checks: [
    {
      code: "ease-range",
      field: "ease",
      level: "warn",
      when: "ease < inch(3/8) || ease > inch(1/2)",
      message: "An ease of {ease} is outside the usual 3/8 to 1/2 in; the device will stick or slip."
    },
    {
      code: "notch-wide",
      field: "width",
      level: "warn",
      when: "panelWidth < inch(3)",
      message: "A panel of {panelWidth} has no room for a thumb notch of 2 in."
    }
  ],
  steps: [
    {
      do: "Sew a test piece: neoprene wants more thread tension and a longer stitch.",
      stitch: "upholstery",
      caution: CAUTION.needle
    },
    { do: "Cut the parts and the half-round thumb notch.", caution: CAUTION.cutter },
    {
      do: "Stitch the contrast panels on; catch the cord loop in the back\u2019s edge.",
      stitch: "upholstery",
      when: "button == 'yes'",
      caution: CAUTION.small
    },
    { do: "Stitch the contrast panels on.", stitch: "upholstery", when: "button == 'no'" },
    {
      do: "Sew sides and bottom; sew the button on below the notch.",
      stitch: "upholstery",
      when: "button == 'yes'",
      caution: CAUTION.small
    },
    { do: "Sew sides and bottom.", stitch: "upholstery", when: "button == 'no'" },
    { do: "Check: the device slides in with its ease and does not fall out." }
  ]
};
var strapPad = {
  id: "strap-pad",
  letter: "P",
  name: "Strap pad",
  version: 2,
  about: "Two squares with fleece between, closed round a strap with snaps or tape.",
  drawing: "flat",
  object: "strap",
  fill: "firm",
  measures: [
    { id: "length", label: "Length", hint: "finished, along the strap", tape: "long" },
    { id: "width", label: "Width", hint: "finished, round the strap when open", tape: "across" }
  ],
  options: [
    seamOf("cm(1)", "cm(1)"),
    {
      id: "closure",
      label: "Closure",
      type: "choice",
      choices: [
        { id: "snaps", label: "snaps" },
        { id: "tape", label: "hook-and-loop" }
      ],
      default: "snaps"
    },
    { id: "snaps", label: "Snaps", type: "count", default: 3, when: "closure == 'snaps'" }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutLength", is: "length + allowance" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutLength - 2 * seam" },
  pieces: [
    { name: "outer", role: "face", qty: 1, across: "cutWidth", along: "cutLength" },
    { name: "inner", role: "back", qty: 1, across: "cutWidth", along: "cutLength" },
    { name: "fleece", role: "fleece", qty: 2, across: "cutWidth - 2 * seam", along: "cutLength - 2 * seam" }
  ],
  strips: [],
  notions: [
    {
      name: "snaps",
      qty: "snaps",
      when: "closure == 'snaps' && snaps > 0",
      note: "at {spread(snaps, length)} of the length, 1.5 cm in"
    },
    {
      name: "hook-and-loop",
      qty: "1",
      when: "closure == 'tape'",
      length: "length - cm(1)",
      note: "16 to 18 cm on an 18 cm pad"
    }
  ],
  checks: [
    {
      code: "snaps-even",
      field: "snaps",
      level: "warn",
      when: "closure == 'snaps' && snaps / 2 == whole(snaps / 2)",
      message: "An odd number of snaps puts one in the middle and closes without gaping; {snaps} is even."
    },
    {
      code: "narrow",
      field: "width",
      level: "warn",
      when: "width < cm(8)",
      message: "A width of {width} does not reach round a strap and close; 18 cm is usual."
    }
  ],
  steps: [
    cutStep,
    { do: "Fuse a fleece behind the outer and one behind the inner, out of the seams.", caution: CAUTION.iron },
    {
      do: "Right sides together, sew round at the seam allowance leaving a gap; turn, press, close.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Set the snaps, an odd number.", when: "closure == 'snaps'", caution: CAUTION.small },
    { do: "Sew the hook-and-loop on.", stitch: "seam", when: "closure == 'tape'" },
    { do: "Check: it closes flat.", caution: CAUTION.belt }
  ]
};
var foundClothCover = {
  id: "found-cloth-cover",
  letter: "Q",
  name: "Cover from a garment or found cloth",
  version: 2,
  about: "The print is placed first; existing hems become the opening\u2019s finished edges.",
  drawing: "envelope",
  object: "pad",
  fill: "soft",
  measures: [
    ...padMeasures,
    { id: "band", label: "Band", hint: "of the lower hem that makes the under-flap; 6 to 7 in", tape: "edge" }
  ],
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    { id: "stretch", label: "Knit that stretches", type: "choice", choices: YES_NO, default: "no" }
  ],
  defaultFit: "true",
  allowance: { true: "stretch == 'yes' ? inch(0) : 2 * seam" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    // One edge of the back and of the under-flap is the found hem: only the other takes a seam.
    { name: "back", is: "asCut || stretch == 'yes' ? height : height + seam" },
    { name: "underFlap", is: "asCut || stretch == 'yes' ? band : band + seam" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam", overlap: "band" },
  pieces: [
    { name: "front", role: "face", qty: 1, across: "cutWidth", along: "cutHeight" },
    { name: "back", role: "back", qty: 1, across: "cutWidth", along: "back" },
    { name: "under-flap", role: "back", qty: 1, across: "cutWidth", along: "underFlap" }
  ],
  strips: [],
  notions: [],
  checks: [
    {
      code: "band-short",
      field: "band",
      level: "warn",
      when: "band < inch(4)",
      message: "A band of {band} gapes; 6 to 7 in of the lower hem hold an 18 x 24 pillow."
    },
    {
      code: "band-over-panel",
      field: "band",
      level: "warn",
      when: "band > height",
      message: "A band of {band} is more than the cover\u2019s height of {height}."
    }
  ],
  steps: [
    { do: "Place the print on the front first; keep the found hems as the edges of back and under-flap." },
    cutStep,
    {
      do: "Lay front, under-flap and back together, hems at the opening, and sew three sides.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Turn with a blunt point and press.", caution: CAUTION.iron },
    { do: "Check: the print sits where it was placed, the flap holds." }
  ]
};

// src/core/covers/kinds/round-covers.ts
var disc = (diameter) => [
  { centre: [`${diameter} / 2`, `${diameter} / 2`], radius: `${diameter} / 2`, from: 0, to: 360 }
];
var curveChecks = [
  {
    code: "straight-on-curve",
    field: "grain",
    level: "warn",
    when: "piping != 'none' && grain == 'straight'",
    message: "Piping on straight grain does not bend round a curve; cut it on the bias."
  }
];
var roundCushion = {
  id: "round-cushion",
  letter: "",
  name: "Round boxed cushion",
  version: 2,
  about: "Two discs with boxing between; a zip panel runs round the back half.",
  drawing: "round",
  object: "round",
  fill: "firm",
  measures: [
    { id: "diameter", label: "Diameter", hint: "across the middle, at two places", tape: "diameter" },
    { id: "thickness", label: "Thickness", hint: "the foam\u2019s thickness", tape: "high" }
  ],
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    pipingChoice([
      { id: "top", label: "at the top" },
      { id: "both", label: "top and bottom" }
    ]),
    ...pipingOptions("piping != 'none'"),
    ownCord("piping != 'none'"),
    ownZip,
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "2 * seam - inch(1/4)", overfull: "2 * seam - inch(1/2)" },
  results: [
    { name: "disc", is: "diameter + allowance" },
    { name: "run", is: "circumference(disc - 2 * seam)" },
    { name: "half", is: "run / 2 + 2 * seam" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + 2 * seam" },
    { name: "panelHalf", is: "asCut ? (thickness + 2 * seam) / 2 : (thickness + 4 * seam) / 2" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockUp(run / 2)" }
  ],
  finished: { width: "disc - 2 * seam", height: "disc - 2 * seam", thickness: "boxingHeight - 2 * seam" },
  pieces: [
    {
      name: "top",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "disc",
      along: "disc",
      outline: disc("disc"),
      match: { anchor: ["disc / 2", "disc / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "bottom",
      role: "back",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "disc",
      along: "disc",
      outline: disc("disc")
    },
    { name: "zip panel half", role: "boxing", qty: 2, across: "half", along: "panelHalf" }
  ],
  strips: [
    {
      name: "boxing",
      role: "boxing",
      qty: "1",
      width: "boxingHeight",
      length: "half",
      grain: "'straight'",
      loss: "2 * seam",
      least: "min(inch(12), half)"
    },
    piping("piping == 'both' ? 2 : 1", "piping != 'none'")
  ],
  notions: [
    { name: "zip", qty: "1", length: "zip", note: "coil, trimmed to fit" },
    cordNotion("piping == 'both' ? 2 : 1", "piping != 'none'"),
    { name: "foam", qty: "1", note: "{diameter} round x {thickness}" }
  ],
  centre: ["disc / 2", "disc / 2"],
  checks: [
    ...curveChecks,
    cordWide("piping != 'none'"),
    cordShort("piping != 'none'"),
    zipShort("(run / 2)"),
    {
      code: "boxing-low",
      field: "thickness",
      level: "warn",
      when: "thickness < inch(1)",
      message: "A boxing of {thickness} is too low for a zip panel; 1 in is the least that takes a coil zip."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Join the piping strips at 45 degrees, wrap the cord and sew it round along the seam line; clip its allowance every inch.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping != 'none'",
      caution: CAUTION.needle
    },
    {
      do: "Press the long edge of each zip panel half under, lay both along the zip and stitch close to the fold.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.iron
    },
    {
      do: "Join zip panel and boxing into a ring; fold it in four and mark, and mark both discs in four.",
      stitch: "seam"
    },
    ...edgesSteps,
    {
      do: "Sew the ring to the top mark on mark, its allowance clipped to the stitch.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Open the zip half way, then sew the ring to the bottom.", stitch: "seam" },
    { do: "Turn, press the seams, fill with the foam.", caution: CAUTION.foam },
    { do: "Check: round without flats, the ring stands straight, the zip runs." }
  ]
};
var bolster = {
  id: "bolster",
  letter: "",
  name: "Bolster",
  version: 2,
  about: "A tube round the roll and a disc at each end; the zip lies in the tube\u2019s seam.",
  drawing: "bolster",
  object: "bolster",
  fill: "soft",
  measures: [
    { id: "diameter", label: "Diameter", hint: "of the end, across the middle", tape: "diameter" },
    { id: "length", label: "Length", hint: "from end seam to end seam", tape: "long" }
  ],
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    pipingChoice([{ id: "ends", label: "round both ends" }]),
    ...pipingOptions("piping != 'none'"),
    ownCord("piping != 'none'"),
    ownZip,
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "2 * seam - inch(1/2)" },
  results: [
    { name: "disc", is: "diameter + allowance" },
    { name: "run", is: "circumference(disc - 2 * seam)" },
    { name: "tube", is: "length + allowance" },
    { name: "around", is: "run + 2 * seam" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockDown(tube - 2 * seam - inch(4))" }
  ],
  finished: { width: "tube - 2 * seam", height: "disc - 2 * seam" },
  pieces: [
    {
      name: "tube",
      role: "face",
      qty: 1,
      axes: ["side to side", "up and down"],
      across: "tube",
      along: "around",
      match: { anchor: ["tube / 2", "around / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "end", role: "contrast", qty: 2, across: "disc", along: "disc", outline: disc("disc") }
  ],
  strips: [piping("2", "piping != 'none'")],
  notions: [
    { name: "zip", qty: "1", when: "zip > inch(0)", length: "zip", note: "coil, in the tube\u2019s seam" },
    cordNotion("2", "piping != 'none'")
  ],
  centre: ["tube / 2", "around / 2"],
  checks: [
    ...curveChecks,
    cordWide("piping != 'none'"),
    cordShort("piping != 'none'"),
    zipLong("(tube - 2 * seam)"),
    {
      code: "zip-none",
      field: "length",
      level: "warn",
      when: "zip == inch(0)",
      message: "No stock zip is 4 in shorter than a seam of {tube - 2 * seam}."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Sew the piping round both ends of the tube\u2019s pattern line, its allowance clipped every inch.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping != 'none'",
      caution: CAUTION.needle
    },
    {
      do: "Sew the tube\u2019s seam 2 in from each end, baste the rest, press it open and set the zip under it.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.iron
    },
    ...edgesSteps,
    {
      do: "Open the zip half way. Mark tube and ends in four and sew each end in, mark on mark.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Turn and fill.", caution: CAUTION.foam },
    { do: "Check: ends round without flats, the zip runs." }
  ]
};

// src/core/covers/kinds/strapped-pad.ts
var strappedPad = {
  id: "strapped-pad",
  letter: "H",
  name: "Boxed chair pad with straps",
  version: 2,
  about: "Top and bottom with boxing, closed at the back with hook-and-loop, held by straps.",
  drawing: "box",
  object: "block",
  fill: "firm",
  measures: [
    { id: "width", label: "Width", hint: "across the pad at its widest", tape: "front" },
    { id: "depth", label: "Depth", hint: "from the front edge to the back edge", tape: "deep" },
    { id: "thickness", label: "Thickness", hint: "the foam\u2019s thickness", tape: "high" }
  ],
  outline: { measure: "outline", across: "width", along: "depth", allowance: "seam" },
  options: [
    seamOf("inch(1)", "mm(25)"),
    { id: "straps", label: "Straps", type: "count", default: 2 },
    { id: "strapLength", label: "Strap length", type: "length", default: "inch(12)", hint: "by the chair" },
    {
      id: "return",
      label: "Return",
      type: "length",
      default: "inch(2)",
      hint: "how far the boxing turns round each back corner"
    }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutDepth", is: "depth + allowance" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + 2 * seam" },
    { name: "strip", is: "traced ? perimeter - width + 2 * return : width + 2 * depth + 2 * return" },
    { name: "closureHalf", is: "boxingHeight / 2" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutDepth - 2 * seam", thickness: "boxingHeight - 2 * seam" },
  pieces: [
    {
      name: "top",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutWidth",
      along: "cutDepth",
      isTraced: true,
      match: { anchor: ["cutWidth / 2", "cutDepth / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "bottom",
      role: "back",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutWidth",
      along: "cutDepth",
      isTraced: true
    },
    { name: "closure, full width", role: "boxing", qty: 1, across: "cutWidth", along: "boxingHeight" },
    { name: "closure, half width", role: "boxing", qty: 1, across: "cutWidth", along: "closureHalf" },
    { name: "strap", role: "strap", qty: "straps", across: "strapLength", along: "thickness" }
  ],
  strips: [
    {
      name: "boxing",
      role: "boxing",
      qty: "1",
      width: "boxingHeight",
      length: "strip",
      grain: "'straight'",
      loss: "2 * seam",
      least: "min(inch(12), strip)"
    }
  ],
  notions: [
    { name: "hook-and-loop", qty: "1", length: "width", note: "along the back" },
    { name: "foam", qty: "1", note: "{width} x {depth} x {thickness}" }
  ],
  centre: ["cutWidth / 2", "cutDepth / 2"],
  checks: [
    {
      code: "boxing-low",
      field: "thickness",
      level: "warn",
      when: "closureHalf < inch(3/4)",
      message: "Half of a boxing of {boxingHeight} is too low for the tape; hook-and-loop is 3/4 in wide."
    }
  ],
  steps: [
    cutStep,
    { do: "Mark the centre of every part and snip the corners of the boxing." },
    {
      do: "Sew hook-and-loop to the two closure strips; fold and hem the straps.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Sew the boxing round top and bottom, the straps caught in the back seam.", stitch: "seam" },
    { do: "Fill through the back.", caution: CAUTION.foam },
    { do: "Check: centre marks meet, corners full, the tape closes flat." }
  ]
};

// src/core/covers/kinds/wrap-cushion.ts
var wrapCushion = {
  id: "wrap-cushion",
  letter: "B",
  name: "Wrapped cushion in one piece",
  version: 2,
  about: "One strip goes round the pad; its hemmed ends overlap at the back.",
  drawing: "wrap",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "hem",
      label: "End hems",
      type: "hem",
      default: ["inch(1/4)", "inch(1)"],
      metric: ["mm(6)", "cm(2.5)"],
      hint: "one turn, or two with a +"
    },
    {
      id: "overlap",
      label: "Overlap",
      type: "length",
      default: "inch(4)",
      hint: "4 in on small pads, up to 3/4 of the height for easy filling"
    },
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    // Top and bottom are folds, so the height takes only what the fit takes away.
    { name: "cutLength", is: "asCut ? height : 2 * (height + allowance - 2 * seam) + overlap + 2 * hem" }
  ],
  finished: {
    width: "cutWidth - 2 * seam",
    height: "asCut ? (cutLength - overlap - 2 * hem) / 2 : height + allowance - 2 * seam",
    overlap: "overlap"
  },
  pieces: [
    {
      name: "wrap",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutLength",
      match: { anchor: ["cutWidth / 2", "cutLength / 2"], delta: ["inch(0)", "inch(0)"] }
    }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutLength / 2"],
  checks: [
    ...overlapChecks("overlap", "ends"),
    {
      code: "overlap-over-panel",
      field: "overlap",
      level: "warn",
      when: "!asCut && overlap > height",
      message: "An overlap of {overlap} is more than the back of {height}; make it less."
    }
  ],
  steps: [
    cutStep,
    { do: "Hem both short ends: press the turns, then stitch along the fold.", stitch: "seam", caution: CAUTION.iron },
    {
      do: "Fold the strip right sides together so that the ends overlap at the back and the outer flap reads upright."
    },
    {
      do: "Sew the two sides at the seam allowance; backstitch over the overlap.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    ...edgesSteps,
    { do: "Turn with a blunt point and press.", caution: CAUTION.iron },
    { do: "Check: the outer flap reads upright, the overlap stays shut." }
  ]
};

// src/core/covers/kinds/zip-cushion.ts
var zipCushion = {
  id: "zip-cushion",
  letter: "C",
  name: "Cushion with a zip in the bottom seam",
  version: 2,
  about: "Two faces, usually cut snug, with a zip set into the bottom seam.",
  drawing: "flat",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "closedEnds",
      label: "Closed ends",
      type: "length",
      default: "inch(2)",
      hint: "the seam sewn shut at each end of the zip; 2 to 2 1/2 in"
    },
    closureOption,
    {
      id: "zipTeeth",
      when: ZIPPED,
      label: "Zip teeth",
      type: "choice",
      choices: [
        { id: "coil", label: "coil" },
        { id: "moulded", label: "moulded" },
        { id: "metal", label: "metal" }
      ],
      default: "coil"
    },
    { ...ownZip, when: ZIPPED },
    edgesOption
  ],
  defaultFit: "snug",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    { name: "opening", is: "width - 2 * closedEnds" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockDown(opening)" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam" },
  pieces: [
    {
      name: "front",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "back",
      role: "back",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    tapeFacing("opening")
  ],
  strips: [],
  notions: [
    { name: "hook-and-loop", qty: "1", when: TAPED, length: "opening", note: "on the facings" },
    {
      name: "zip",
      qty: "1",
      when: `${ZIPPED} && zip > inch(0)`,
      length: "zip",
      note: "{zipTeeth}; marks {(width - min(zip, opening)) / 2} from each end of the seam"
    }
  ],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    {
      code: "zip-uncut",
      field: "zipLength",
      level: "stop",
      when: "closure == 'zip' && zipLengthGiven && zipTeeth == 'metal' && zipLength > opening",
      message: "A metal zip of {zipLength} can\u2019t be cut down to the opening of {opening}; take a shorter one."
    },
    zipLong("(zipTeeth == 'metal' ? zipLength : opening)", ZIPPED),
    {
      code: "opening-none",
      field: "closedEnds",
      level: "stop",
      when: "opening <= inch(0)",
      message: "Two closed ends of {closedEnds} leave no opening in a {width} edge."
    },
    {
      code: "zip-none",
      field: "closedEnds",
      level: "warn",
      when: `${ZIPPED} && opening > inch(0) && zip == inch(0)`,
      message: "No stock zip is as short as the opening of {opening}; shorten the closed ends."
    },
    {
      code: "zip-metal",
      field: "zipTeeth",
      level: "warn",
      when: "closure == 'zip' && zipTeeth != 'coil' && zip > inch(0) && zip < opening",
      message: "A {zipTeeth} zip can\u2019t be shortened and must fit exactly: the {zip} zip leaves closed ends of {(width - zip) / 2}."
    },
    {
      code: "closed-ends",
      field: "closedEnds",
      level: "warn",
      when: "closedEnds > inch(3) && opening > inch(0)",
      message: "Closed ends of {closedEnds} make the opening hard to fill; 2 to 2 1/2 in is usual."
    }
  ],
  steps: [
    cutStep,
    ...edgesSteps,
    { do: "Mark the ends of the opening on the bottom seam." },
    {
      do: "Sew a facing to each side of the opening and hook-and-loop to the facings; sew the seam shut beyond the marks.",
      stitch: "seam",
      when: TAPED,
      caution: CAUTION.needle
    },
    {
      do: "Sew the bottom seam from each side to the zip marks, and baste the rest.",
      stitch: "seam",
      when: ZIPPED,
      caution: CAUTION.needle
    },
    {
      when: ZIPPED,
      do: "Press the seam open, centre the zip under it face down, and sew it in; take the basting out.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.iron
    },
    { do: "Open the zip half way.", when: ZIPPED },
    { do: "Right sides together, sew the three other sides at the seam allowance.", stitch: "seam" },
    { do: "Clip the corners, turn with a blunt point, press and fill." },
    { do: "Check: the motif or stripe meets within 1/8 in, the opening shuts." }
  ]
};

// src/core/covers/kinds/index.ts
var KINDS = [
  envelopeCushion,
  wrapCushion,
  zipCushion,
  flapZipCushion,
  flangedCushion,
  floorCushion,
  boxedCushion,
  strappedPad,
  platformBoxed,
  platformNotched,
  pillowTopStool,
  paddedBookCover,
  hemmedBookCover,
  vinylBookCover,
  deviceSleeve,
  strapPad,
  foundClothCover,
  roundCushion,
  bolster
];
var FIRST_VERSION = 1;
var firstVersions = new Map(
  KINDS.map((kind) => [
    kind.id,
    {
      ...kind,
      version: FIRST_VERSION,
      options: kind.options.map(
        (option) => option.type === "length" || option.type === "hem" ? { ...option, metric: void 0 } : option
      ),
      pieces: kind.id === strapPad.id ? kind.pieces.map((p) => p.role === "fleece" ? { ...p, qty: 1 } : p) : kind.pieces
    }
  ])
);
function kindBook(own = [], withdrawn = []) {
  const newest = (id2) => own.filter((kind) => kind.id === id2).reduce((a, b) => a && a.version >= b.version ? a : b, void 0);
  const ids = [...new Set(own.map(({ id: id2 }) => id2))].filter((id2) => !withdrawn.includes(id2));
  return {
    current: [...KINDS, ...ids.map((id2) => newest(id2))],
    find: (id2, version2) => (version2 === FIRST_VERSION ? firstVersions.get(id2) : KINDS.find((kind) => kind.id === id2)) ?? (version2 === void 0 ? newest(id2) : own.find((kind) => kind.id === id2 && kind.version === version2))
  };
}
var BUILT_IN = kindBook();
var kindById = (id2) => BUILT_IN.find(id2);

// src/core/length/units.ts
var NM = {
  in: 254e5,
  ft: 3048e5,
  yd: 9144e5,
  mm: 1e6,
  cm: 1e7,
  m: 1e9
};
var LONGEST = 1e6 * NM.in;

// src/core/result.ts
var ok = (value) => ({ ok: true, value });
var refuse = (code, field, message2) => ({
  ok: false,
  faults: [{ code, field, message: message2 }]
});

// src/core/length/parse.ts
var VULGAR = {
  "\xBD": "1/2",
  "\u2153": "1/3",
  "\u2154": "2/3",
  "\xBC": "1/4",
  "\xBE": "3/4",
  "\u2155": "1/5",
  "\u2156": "2/5",
  "\u2157": "3/5",
  "\u2158": "4/5",
  "\u2159": "1/6",
  "\u215A": "5/6",
  "\u215B": "1/8",
  "\u215C": "3/8",
  "\u215D": "5/8",
  "\u215E": "7/8"
};
var UNIT_WORDS = {
  '"': "in",
  "\u2033": "in",
  "\u201D": "in",
  "''": "in",
  in: "in",
  ins: "in",
  inch: "in",
  inches: "in",
  "'": "ft",
  "\u2032": "ft",
  "\u2019": "ft",
  ft: "ft",
  foot: "ft",
  feet: "ft",
  yd: "yd",
  yds: "yd",
  yard: "yd",
  yards: "yd",
  mm: "mm",
  cm: "cm",
  m: "m",
  metre: "m",
  metres: "m",
  meter: "m",
  meters: "m"
};
var NEXT_SMALLER = { yd: "in", ft: "in", m: "cm", cm: "mm" };
var NUMBER = String.raw`\d+(?:[.,]\d+)?|\.\d+`;
var TERM = new RegExp(
  String.raw`\s*(?:(\d+)(?:\s+|\s*-\s*)(\d+)\s*/\s*(\d+)|(\d+)\s*/\s*(\d+)|(${NUMBER}))\s*(''|[a-z]+|["″”'′’])?\.?`,
  "y"
);
function parseLength(text2, unit, field = "") {
  const nonsense = (why) => refuse("length", field, `${why}. Write it like 13 5/8, 2' 6" or 33.5 cm.`);
  const given = text2.trim();
  if (given === "") return refuse("length-missing", field, "A length is needed here.");
  const shown = given.length > 40 ? `${given.slice(0, 37)}...` : given;
  if (given.length > 60) return nonsense(`\u201C${shown}\u201D is too long to be a length`);
  if (/^[-−–]/.test(given))
    return refuse("length-negative", field, `\u201C${shown}\u201D is negative; a length is zero or more.`);
  const plain = given.replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`).replace(/⁄/g, "/").replace(/[\u00a0\u2009\u202f]/g, " ").trim().toLowerCase();
  let total = { over: 0n, under: 1n };
  let last;
  let at = 0;
  for (let terms = 0; at < plain.length; terms++) {
    TERM.lastIndex = at;
    const found = TERM.exec(plain);
    if (!found) return nonsense(`\u201C${shown}\u201D is not a length`);
    at = TERM.lastIndex;
    const [, whole2, over, under, bareOver, bareUnder, decimal, word] = found;
    if (decimal && /,\d{3}$/.test(decimal)) {
      return nonsense(`\u201C${shown}\u201D could mean a thousand or a decimal; write it without the comma`);
    }
    if (under === "0" || bareUnder === "0" || /^0+$/.test(under ?? bareUnder ?? "1"))
      return nonsense(`\u201C${shown}\u201D divides by zero`);
    const own = word === void 0 ? terms === 0 ? unit : last && NEXT_SMALLER[last] : UNIT_WORDS[word];
    if (word !== void 0 && !own) return nonsense(`\u201C${word}\u201D in \u201C${shown}\u201D is not a unit of length`);
    if (!own || terms > 0 && (last === void 0 || NM[own] >= NM[last]))
      return nonsense(`\u201C${shown}\u201D is not one length`);
    if (terms > 0 && word === void 0 && plain.slice(at).trim() !== "")
      return nonsense(`\u201C${shown}\u201D is not one length`);
    const value = whole2 ? plus({ over: BigInt(whole2), under: 1n }, { over: BigInt(over), under: BigInt(under) }) : bareOver ? { over: BigInt(bareOver), under: BigInt(bareUnder) } : fromDecimal(decimal.replace(",", "."));
    total = plus(total, { over: value.over * BigInt(NM[own]), under: value.under });
    last = word === void 0 && terms === 0 ? void 0 : own;
  }
  if (total.over > total.under * BigInt(LONGEST))
    return refuse("length-huge", field, `\u201C${shown}\u201D is longer than 1,000,000 inches.`);
  return ok(Number((2n * total.over + total.under) / (2n * total.under)));
}
var plus = (a, b) => ({
  over: a.over * b.under + b.over * a.under,
  under: a.under * b.under
});
function fromDecimal(text2) {
  const [whole2 = "", decimals = ""] = text2.split(".");
  return { over: BigInt(whole2 + decimals || "0"), under: 10n ** BigInt(decimals.length) };
}

// src/core/cutlist/panels.ts
var DIRECTIONS = ["along", "across", "any"];
var WIDE_WAYS = ["join", "sideways"];

// src/db/schema.ts
var nm = (name) => bigint(name, { mode: "number" });
var id = () => integer("id").primaryKey().generatedAlwaysAsIdentity();
var version = () => integer("version").notNull().default(1);
var words = (list) => sql.raw(list.map((word) => `'${word}'`).join(", "));
var createdAt = () => timestamp("created_at", { withTimezone: true }).notNull().defaultNow();
var updatedAt = () => timestamp("updated_at", { withTimezone: true }).notNull().defaultNow();
var settings = pgTable("settings", { key: text("key").primaryKey(), value: jsonb("value").notNull() });
var customers = pgTable(
  "customers",
  { id: id(), name: text("name").notNull(), contact: text("contact").notNull().default(""), createdAt: createdAt() },
  (t) => [
    uniqueIndex("customers_name").on(sql`lower(${t.name})`),
    check("customers_named", sql`length(trim(${t.name})) > 0`)
  ]
);
var cloths = pgTable(
  "cloths",
  {
    id: id(),
    name: text("name").notNull(),
    units: text("units", { enum: ["in", "mm"] }).notNull(),
    widthNm: nm("width_nm").notNull(),
    selvageLeftNm: nm("selvage_left_nm").notNull().default(0),
    selvageRightNm: nm("selvage_right_nm").notNull().default(0),
    repeatAcrossNm: nm("repeat_across_nm").notNull().default(0),
    repeatAlongNm: nm("repeat_along_nm").notNull().default(0),
    dropPart: doublePrecision("drop_part").notNull().default(0),
    /** Where a point of the pattern lies, from the left edge and from the squared end. */
    motifAcrossNm: nm("motif_across_nm").notNull().default(0),
    motifAlongNm: nm("motif_along_nm").notNull().default(0),
    turns: text("turns", { enum: ["any", "half", "none"] }).notNull(),
    pattern: text("pattern", { enum: ["plain", "stripe", "band", "leaf", "diamond", "wheel", "check"] }).notNull().default("plain"),
    fibre: text("fibre", { enum: FIBRES }).notNull().default("mixed"),
    weight: text("weight", { enum: WEIGHTS }).notNull().default("medium"),
    give: text("give", { enum: GIVES }).notNull().default("little"),
    groundColour: text("ground_colour").notNull(),
    figureColour: text("figure_colour").notNull(),
    priceMinor: bigint("price_minor", { mode: "number" }).notNull(),
    currency: text("currency").notNull(),
    pricePer: text("price_per", { enum: ["yd", "m"] }).notNull(),
    sellingStepNm: nm("selling_step_nm").notNull(),
    notes: text("notes").notNull().default(""),
    version: version(),
    createdAt: createdAt(),
    updatedAt: updatedAt()
  },
  (t) => [
    uniqueIndex("cloths_name").on(sql`lower(${t.name})`),
    check("cloths_named", sql`length(trim(${t.name})) > 0`),
    check(
      "cloths_width",
      sql`${t.widthNm} > 0 AND ${t.selvageLeftNm} >= 0 AND ${t.selvageRightNm} >= 0 AND ${t.selvageLeftNm} + ${t.selvageRightNm} < ${t.widthNm}`
    ),
    check(
      "cloths_repeat",
      sql`${t.repeatAcrossNm} >= 0 AND ${t.repeatAlongNm} >= 0 AND ${t.dropPart} >= 0 AND ${t.dropPart} < 1 AND ${t.motifAcrossNm} >= 0 AND ${t.motifAlongNm} >= 0`
    ),
    check("cloths_price", sql`${t.priceMinor} >= 0 AND ${t.currency} ~ '^[A-Z]{3}$' AND ${t.sellingStepNm} > 0`),
    check("cloths_colours", sql`${t.groundColour} ~ '^#[0-9a-f]{6}$' AND ${t.figureColour} ~ '^#[0-9a-f]{6}$'`),
    check(
      "cloths_nature",
      sql`${t.fibre} IN (${words(FIBRES)}) AND ${t.weight} IN (${words(WEIGHTS)}) AND ${t.give} IN (${words(GIVES)})`
    ),
    check(
      "cloths_words",
      sql`${t.units} IN ('in', 'mm') AND ${t.turns} IN ('any', 'half', 'none') AND ${t.pricePer} IN ('yd', 'm')`
    )
  ]
);
var orders = pgTable(
  "orders",
  {
    id: id(),
    no: integer("no").notNull().unique(),
    /** One of the marks that an order keeps everywhere: a colour and a sign. */
    mark: smallint("mark").notNull(),
    customerId: integer("customer_id").notNull().references(() => customers.id),
    due: date("due", { mode: "string" }).notNull(),
    units: text("units", { enum: ["in", "mm"] }).notNull(),
    notes: text("notes").notNull().default(""),
    /** Where it is, told from the batches of its lines; a trigger keeps it (migration 0006), so that lists need not look at every line. */
    status: text("status", { enum: ["waiting", "batched", "approved", "cut"] }).notNull().default("waiting"),
    /** What a search looks at, in lower case: number, customer and notes; kept by a trigger. */
    searchText: text("search_text").notNull().default(""),
    /** The kinds of its lines, for the search; kept by a trigger. */
    kinds: text("kinds").array().notNull().default(sql`'{}'`),
    deletedAt: timestamp("deleted_at", { withTimezone: true }),
    version: version(),
    createdAt: createdAt(),
    updatedAt: updatedAt()
  },
  (t) => [
    index("orders_customer").on(t.customerId),
    index("orders_by_due").on(sql`(${t.status} = 'cut')`, t.due, t.no).where(sql`${t.deletedAt} IS NULL`),
    index("orders_by_status").on(t.status, t.due, t.no).where(sql`${t.deletedAt} IS NULL`),
    index("orders_kinds").using("gin", t.kinds),
    check("orders_units", sql`${t.units} IN ('in', 'mm')`),
    check("orders_no", sql`${t.no} > 0 AND ${t.mark} >= 0`)
  ]
);
var batches = pgTable(
  "batches",
  {
    id: id(),
    name: text("name").notNull(),
    status: text("status", { enum: ["draft", "queued", "laying", "laid", "failed", "approved", "cut"] }).notNull().default("draft"),
    seconds: integer("seconds").notNull().default(15),
    seed: integer("seed").notNull().default(1),
    /** How often this request has been taken up: a worker that dies gives it back. */
    attempts: integer("attempts").notNull().default(0),
    /** When the worker that makes the lays was last heard of, by the database's clock. */
    heartbeatAt: timestamp("heartbeat_at", { withTimezone: true }),
    /** About how many seconds the lays still take. */
    secondsLeft: integer("seconds_left"),
    /** 0 to 1 while the lays are made. */
    progress: real("progress").notNull().default(0),
    progressNote: text("progress_note").notNull().default(""),
    /** The best lay so far while the lays are made, for the screen. */
    bestSoFar: jsonb("best_so_far").$type(),
    cancelRequested: boolean("cancel_requested").notNull().default(false),
    /** Counts the requests to make the lays, so that the result of an older one is not taken for the newest. */
    run: integer("run").notNull().default(0),
    error: text("error").notNull().default(""),
    version: version(),
    createdAt: createdAt(),
    updatedAt: updatedAt(),
    approvedAt: timestamp("approved_at", { withTimezone: true })
  },
  (t) => [
    check("batches_named", sql`length(trim(${t.name})) > 0`),
    check("batches_status", sql`${t.status} IN ('draft', 'queued', 'laying', 'laid', 'failed', 'approved', 'cut')`),
    check("batches_progress", sql`${t.progress} BETWEEN 0 AND 1 AND ${t.seconds} BETWEEN 1 AND 600`)
  ]
);
var orderLines = pgTable(
  "order_lines",
  {
    id: id(),
    orderId: integer("order_id").notNull().references(() => orders.id, { onDelete: "cascade" }),
    position: smallint("position").notNull(),
    kind: text("kind").notNull(),
    kindVersion: integer("kind_version").notNull(),
    qty: integer("qty").notNull(),
    fit: text("fit", { enum: ["true", "snug", "overfull"] }).notNull(),
    measuredAs: text("measured_as", { enum: ["finished", "cut"] }).notNull().default("finished"),
    matching: text("matching", { enum: ["none", "alike", "centred"] }).notNull().default("none"),
    /** The traced outline of the form, as it was typed and corner by corner in nanometres. */
    outline: jsonb("outline").$type(),
    batchId: integer("batch_id").references(() => batches.id, { onDelete: "set null" })
  },
  (t) => [
    unique("order_lines_position").on(t.orderId, t.position),
    index("order_lines_batch").on(t.batchId),
    index("order_lines_waiting").on(t.orderId).where(sql`${t.batchId} IS NULL`),
    index("order_lines_kind").on(t.kind),
    check("order_lines_qty", sql`${t.qty} BETWEEN 1 AND 10000`),
    check(
      "order_lines_words",
      sql`${t.fit} IN ('true', 'snug', 'overfull') AND ${t.measuredAs} IN ('finished', 'cut') AND ${t.matching} IN ('none', 'alike', 'centred')`
    )
  ]
);
var lineValues = pgTable(
  "line_values",
  {
    lineId: integer("line_id").notNull().references(() => orderLines.id, { onDelete: "cascade" }),
    name: text("name").notNull(),
    part: smallint("part").notNull().default(0),
    isMeasure: boolean("is_measure").notNull(),
    valueNm: nm("value_nm"),
    typed: text("typed").notNull().default(""),
    choice: text("choice")
  },
  (t) => [
    primaryKey({ columns: [t.lineId, t.name, t.part] }),
    check("line_values_one", sql`(${t.valueNm} IS NULL) <> (${t.choice} IS NULL)`),
    check(
      "line_values_length",
      sql`${t.valueNm} IS NULL OR ${t.valueNm} > 0 OR (NOT ${t.isMeasure} AND ${t.valueNm} >= 0)`
    )
  ]
);
var lineCloths = pgTable(
  "line_cloths",
  {
    lineId: integer("line_id").notNull().references(() => orderLines.id, { onDelete: "cascade" }),
    role: text("role", { enum: ROLES }).notNull(),
    clothId: integer("cloth_id").notNull().references(() => cloths.id)
  },
  (t) => [
    primaryKey({ columns: [t.lineId, t.role] }),
    index("line_cloths_cloth").on(t.clothId),
    check("line_cloths_role", sql`${t.role} IN (${words(ROLES)})`)
  ]
);
var lineParts = pgTable(
  "line_parts",
  {
    lineId: integer("line_id").notNull().references(() => orderLines.id, { onDelete: "cascade" }),
    part: text("part").notNull(),
    direction: text("direction", { enum: DIRECTIONS }),
    wide: text("wide", { enum: WIDE_WAYS })
  },
  (t) => [
    primaryKey({ columns: [t.lineId, t.part] }),
    check(
      "line_parts_words",
      sql`(${t.direction} IS NULL OR ${t.direction} IN (${words(DIRECTIONS)})) AND (${t.wide} IS NULL OR ${t.wide} IN (${words(WIDE_WAYS)}))`
    )
  ]
);
var kinds = pgTable("kinds", {
  id: id(),
  /** The newest version. */
  version: version(),
  /** Withdrawn kinds are no longer offered; orders made with them go on. */
  withdrawnAt: timestamp("withdrawn_at", { withTimezone: true }),
  createdAt: createdAt(),
  updatedAt: updatedAt()
});
var kindVersions = pgTable(
  "kind_versions",
  {
    kindId: integer("kind_id").notNull().references(() => kinds.id),
    version: integer("version").notNull(),
    data: jsonb("data").notNull(),
    createdAt: createdAt()
  },
  (t) => [primaryKey({ columns: [t.kindId, t.version] })]
);
var lays = pgTable(
  "lays",
  {
    id: id(),
    batchId: integer("batch_id").notNull().references(() => batches.id, { onDelete: "cascade" }),
    clothId: integer("cloth_id").notNull().references(() => cloths.id),
    units: text("units", { enum: ["in", "mm"] }).notNull(),
    cloth: jsonb("cloth").notNull(),
    job: jsonb("job").notNull(),
    parts: jsonb("parts").notNull(),
    plan: jsonb("plan").notNull(),
    usedNm: nm("used_nm").notNull(),
    boundNm: nm("bound_nm").notNull(),
    boughtNm: nm("bought_nm").notNull(),
    handNm: nm("hand_nm").notNull(),
    handCostMinor: bigint("hand_cost_minor", { mode: "number" }).notNull(),
    costMinor: bigint("cost_minor", { mode: "number" }).notNull(),
    currency: text("currency").notNull(),
    wastePart: doublePrecision("waste_part").notNull(),
    createdAt: createdAt()
  },
  (t) => [
    unique("lays_batch_cloth").on(t.batchId, t.clothId),
    check(
      "lays_lengths",
      sql`${t.usedNm} >= 0 AND ${t.boundNm} >= 0 AND ${t.boundNm} <= ${t.usedNm} AND ${t.boughtNm} >= ${t.usedNm}`
    ),
    check("lays_cost", sql`${t.costMinor} >= 0 AND ${t.handCostMinor} >= 0`)
  ]
);
var aloneLays = pgTable("alone_lays", {
  /** SHA-256 of the job without its order's number. */
  key: text("key").primaryKey(),
  usedNm: nm("used_nm").notNull(),
  createdAt: createdAt()
});
var layShares = pgTable(
  "lay_shares",
  {
    layId: integer("lay_id").notNull().references(() => lays.id, { onDelete: "cascade" }),
    orderId: integer("order_id").notNull().references(() => orders.id),
    aloneNm: nm("alone_nm").notNull(),
    aloneCostMinor: bigint("alone_cost_minor", { mode: "number" }).notNull(),
    handNm: nm("hand_nm").notNull(),
    handCostMinor: bigint("hand_cost_minor", { mode: "number" }).notNull(),
    areaMm2: doublePrecision("area_mm2").notNull(),
    usedNm: nm("used_nm").notNull(),
    shareByLengthMinor: bigint("share_by_length_minor", { mode: "number" }).notNull(),
    shareByAreaMinor: bigint("share_by_area_minor", { mode: "number" }).notNull()
  },
  (t) => [
    primaryKey({ columns: [t.layId, t.orderId] }),
    index("lay_shares_order").on(t.orderId),
    check("lay_shares_amounts", sql`${t.shareByLengthMinor} >= 0 AND ${t.shareByAreaMinor} >= 0 AND ${t.aloneNm} >= 0`)
  ]
);

// src/db/connection.ts
var databaseUrl = () => {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the application with "npm start".');
  return url;
};
function connect(url = databaseUrl()) {
  const pool = new Pool({ connectionString: url, max: 10 });
  pool.on("error", () => void 0);
  return { db: drizzle(pool, { schema: schema_exports }), close: () => pool.end() };
}

// node_modules/date-fns/constants.js
var daysInYear = 365.2425;
var maxTime = Math.pow(10, 8) * 24 * 60 * 60 * 1e3;
var minTime = -maxTime;
var millisecondsInWeek = 6048e5;
var millisecondsInDay = 864e5;
var secondsInHour = 3600;
var secondsInDay = secondsInHour * 24;
var secondsInWeek = secondsInDay * 7;
var secondsInYear = secondsInDay * daysInYear;
var secondsInMonth = secondsInYear / 12;
var secondsInQuarter = secondsInMonth * 3;
var constructFromSymbol = /* @__PURE__ */ Symbol.for("constructDateFrom");

// node_modules/date-fns/constructFrom.js
function constructFrom(date2, value) {
  if (typeof date2 === "function") return date2(value);
  if (date2 && typeof date2 === "object" && constructFromSymbol in date2)
    return date2[constructFromSymbol](value);
  if (date2 instanceof Date) return new date2.constructor(value);
  return new Date(value);
}

// node_modules/date-fns/toDate.js
function toDate(argument, context) {
  return constructFrom(context || argument, argument);
}

// node_modules/date-fns/addDays.js
function addDays(date2, amount, options) {
  const _date = toDate(date2, options?.in);
  if (isNaN(amount)) return constructFrom(options?.in || date2, NaN);
  if (!amount) return _date;
  _date.setDate(_date.getDate() + amount);
  return _date;
}

// node_modules/date-fns/_lib/defaultOptions.js
var defaultOptions = {};
function getDefaultOptions() {
  return defaultOptions;
}

// node_modules/date-fns/startOfWeek.js
function startOfWeek(date2, options) {
  const defaultOptions2 = getDefaultOptions();
  const weekStartsOn = options?.weekStartsOn ?? options?.locale?.options?.weekStartsOn ?? defaultOptions2.weekStartsOn ?? defaultOptions2.locale?.options?.weekStartsOn ?? 0;
  const _date = toDate(date2, options?.in);
  const day = _date.getDay();
  const diff = (day < weekStartsOn ? 7 : 0) + day - weekStartsOn;
  _date.setDate(_date.getDate() - diff);
  _date.setHours(0, 0, 0, 0);
  return _date;
}

// node_modules/date-fns/startOfISOWeek.js
function startOfISOWeek(date2, options) {
  return startOfWeek(date2, { ...options, weekStartsOn: 1 });
}

// node_modules/date-fns/getISOWeekYear.js
function getISOWeekYear(date2, options) {
  const _date = toDate(date2, options?.in);
  const year = _date.getFullYear();
  const fourthOfJanuaryOfNextYear = constructFrom(_date, 0);
  fourthOfJanuaryOfNextYear.setFullYear(year + 1, 0, 4);
  fourthOfJanuaryOfNextYear.setHours(0, 0, 0, 0);
  const startOfNextYear = startOfISOWeek(fourthOfJanuaryOfNextYear);
  const fourthOfJanuaryOfThisYear = constructFrom(_date, 0);
  fourthOfJanuaryOfThisYear.setFullYear(year, 0, 4);
  fourthOfJanuaryOfThisYear.setHours(0, 0, 0, 0);
  const startOfThisYear = startOfISOWeek(fourthOfJanuaryOfThisYear);
  if (_date.getTime() >= startOfNextYear.getTime()) {
    return year + 1;
  } else if (_date.getTime() >= startOfThisYear.getTime()) {
    return year;
  } else {
    return year - 1;
  }
}

// node_modules/date-fns/_lib/getTimezoneOffsetInMilliseconds.js
function getTimezoneOffsetInMilliseconds(date2) {
  const _date = toDate(date2);
  const utcDate = new Date(
    Date.UTC(
      _date.getFullYear(),
      _date.getMonth(),
      _date.getDate(),
      _date.getHours(),
      _date.getMinutes(),
      _date.getSeconds(),
      _date.getMilliseconds()
    )
  );
  utcDate.setUTCFullYear(_date.getFullYear());
  return +date2 - +utcDate;
}

// node_modules/date-fns/_lib/normalizeDates.js
function normalizeDates(context, ...dates) {
  const normalize = constructFrom.bind(
    null,
    context || dates.find((date2) => typeof date2 === "object")
  );
  return dates.map(normalize);
}

// node_modules/date-fns/startOfDay.js
function startOfDay(date2, options) {
  const _date = toDate(date2, options?.in);
  _date.setHours(0, 0, 0, 0);
  return _date;
}

// node_modules/date-fns/differenceInCalendarDays.js
function differenceInCalendarDays(laterDate, earlierDate, options) {
  const [laterDate_, earlierDate_] = normalizeDates(
    options?.in,
    laterDate,
    earlierDate
  );
  const laterStartOfDay = startOfDay(laterDate_);
  const earlierStartOfDay = startOfDay(earlierDate_);
  const laterTimestamp = +laterStartOfDay - getTimezoneOffsetInMilliseconds(laterStartOfDay);
  const earlierTimestamp = +earlierStartOfDay - getTimezoneOffsetInMilliseconds(earlierStartOfDay);
  return Math.round((laterTimestamp - earlierTimestamp) / millisecondsInDay);
}

// node_modules/date-fns/startOfISOWeekYear.js
function startOfISOWeekYear(date2, options) {
  const year = getISOWeekYear(date2, options);
  const fourthOfJanuary = constructFrom(options?.in || date2, 0);
  fourthOfJanuary.setFullYear(year, 0, 4);
  fourthOfJanuary.setHours(0, 0, 0, 0);
  return startOfISOWeek(fourthOfJanuary);
}

// node_modules/date-fns/isDate.js
function isDate(value) {
  return value instanceof Date || typeof value === "object" && Object.prototype.toString.call(value) === "[object Date]";
}

// node_modules/date-fns/isValid.js
function isValid(date2) {
  return !(!isDate(date2) && typeof date2 !== "number" || isNaN(+toDate(date2)));
}

// node_modules/date-fns/startOfYear.js
function startOfYear(date2, options) {
  const date_ = toDate(date2, options?.in);
  date_.setFullYear(date_.getFullYear(), 0, 1);
  date_.setHours(0, 0, 0, 0);
  return date_;
}

// node_modules/date-fns/locale/en-US/_lib/formatDistance.js
var formatDistanceLocale = {
  lessThanXSeconds: {
    one: "less than a second",
    other: "less than {{count}} seconds"
  },
  xSeconds: {
    one: "1 second",
    other: "{{count}} seconds"
  },
  halfAMinute: "half a minute",
  lessThanXMinutes: {
    one: "less than a minute",
    other: "less than {{count}} minutes"
  },
  xMinutes: {
    one: "1 minute",
    other: "{{count}} minutes"
  },
  aboutXHours: {
    one: "about 1 hour",
    other: "about {{count}} hours"
  },
  xHours: {
    one: "1 hour",
    other: "{{count}} hours"
  },
  xDays: {
    one: "1 day",
    other: "{{count}} days"
  },
  aboutXWeeks: {
    one: "about 1 week",
    other: "about {{count}} weeks"
  },
  xWeeks: {
    one: "1 week",
    other: "{{count}} weeks"
  },
  aboutXMonths: {
    one: "about 1 month",
    other: "about {{count}} months"
  },
  xMonths: {
    one: "1 month",
    other: "{{count}} months"
  },
  aboutXYears: {
    one: "about 1 year",
    other: "about {{count}} years"
  },
  xYears: {
    one: "1 year",
    other: "{{count}} years"
  },
  overXYears: {
    one: "over 1 year",
    other: "over {{count}} years"
  },
  almostXYears: {
    one: "almost 1 year",
    other: "almost {{count}} years"
  }
};
var formatDistance = (token, count, options) => {
  let result;
  const tokenValue = formatDistanceLocale[token];
  if (typeof tokenValue === "string") {
    result = tokenValue;
  } else if (count === 1) {
    result = tokenValue.one;
  } else {
    result = tokenValue.other.replace("{{count}}", count.toString());
  }
  if (options?.addSuffix) {
    if (options.comparison && options.comparison > 0) {
      return "in " + result;
    } else {
      return result + " ago";
    }
  }
  return result;
};

// node_modules/date-fns/locale/_lib/buildFormatLongFn.js
function buildFormatLongFn(args) {
  return (options = {}) => {
    const width = options.width ? String(options.width) : args.defaultWidth;
    const format2 = args.formats[width] || args.formats[args.defaultWidth];
    return format2;
  };
}

// node_modules/date-fns/locale/en-US/_lib/formatLong.js
var dateFormats = {
  full: "EEEE, MMMM do, y",
  long: "MMMM do, y",
  medium: "MMM d, y",
  short: "MM/dd/yyyy"
};
var timeFormats = {
  full: "h:mm:ss a zzzz",
  long: "h:mm:ss a z",
  medium: "h:mm:ss a",
  short: "h:mm a"
};
var dateTimeFormats = {
  full: "{{date}} 'at' {{time}}",
  long: "{{date}} 'at' {{time}}",
  medium: "{{date}}, {{time}}",
  short: "{{date}}, {{time}}"
};
var formatLong = {
  date: buildFormatLongFn({
    formats: dateFormats,
    defaultWidth: "full"
  }),
  time: buildFormatLongFn({
    formats: timeFormats,
    defaultWidth: "full"
  }),
  dateTime: buildFormatLongFn({
    formats: dateTimeFormats,
    defaultWidth: "full"
  })
};

// node_modules/date-fns/locale/en-US/_lib/formatRelative.js
var formatRelativeLocale = {
  lastWeek: "'last' eeee 'at' p",
  yesterday: "'yesterday at' p",
  today: "'today at' p",
  tomorrow: "'tomorrow at' p",
  nextWeek: "eeee 'at' p",
  other: "P"
};
var formatRelative = (token, _date, _baseDate, _options) => formatRelativeLocale[token];

// node_modules/date-fns/locale/_lib/buildLocalizeFn.js
function buildLocalizeFn(args) {
  return (value, options) => {
    const context = options?.context ? String(options.context) : "standalone";
    let valuesArray;
    if (context === "formatting" && args.formattingValues) {
      const defaultWidth = args.defaultFormattingWidth || args.defaultWidth;
      const width = options?.width ? String(options.width) : defaultWidth;
      valuesArray = args.formattingValues[width] || args.formattingValues[defaultWidth];
    } else {
      const defaultWidth = args.defaultWidth;
      const width = options?.width ? String(options.width) : args.defaultWidth;
      valuesArray = args.values[width] || args.values[defaultWidth];
    }
    const index2 = args.argumentCallback ? args.argumentCallback(value) : value;
    return valuesArray[index2];
  };
}

// node_modules/date-fns/locale/en-US/_lib/localize.js
var eraValues = {
  narrow: ["B", "A"],
  abbreviated: ["BC", "AD"],
  wide: ["Before Christ", "Anno Domini"]
};
var quarterValues = {
  narrow: ["1", "2", "3", "4"],
  abbreviated: ["Q1", "Q2", "Q3", "Q4"],
  wide: ["1st quarter", "2nd quarter", "3rd quarter", "4th quarter"]
};
var monthValues = {
  narrow: ["J", "F", "M", "A", "M", "J", "J", "A", "S", "O", "N", "D"],
  abbreviated: [
    "Jan",
    "Feb",
    "Mar",
    "Apr",
    "May",
    "Jun",
    "Jul",
    "Aug",
    "Sep",
    "Oct",
    "Nov",
    "Dec"
  ],
  wide: [
    "January",
    "February",
    "March",
    "April",
    "May",
    "June",
    "July",
    "August",
    "September",
    "October",
    "November",
    "December"
  ]
};
var dayValues = {
  narrow: ["S", "M", "T", "W", "T", "F", "S"],
  short: ["Su", "Mo", "Tu", "We", "Th", "Fr", "Sa"],
  abbreviated: ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"],
  wide: [
    "Sunday",
    "Monday",
    "Tuesday",
    "Wednesday",
    "Thursday",
    "Friday",
    "Saturday"
  ]
};
var dayPeriodValues = {
  narrow: {
    am: "a",
    pm: "p",
    midnight: "mi",
    noon: "n",
    morning: "morning",
    afternoon: "afternoon",
    evening: "evening",
    night: "night"
  },
  abbreviated: {
    am: "AM",
    pm: "PM",
    midnight: "midnight",
    noon: "noon",
    morning: "morning",
    afternoon: "afternoon",
    evening: "evening",
    night: "night"
  },
  wide: {
    am: "a.m.",
    pm: "p.m.",
    midnight: "midnight",
    noon: "noon",
    morning: "morning",
    afternoon: "afternoon",
    evening: "evening",
    night: "night"
  }
};
var formattingDayPeriodValues = {
  narrow: {
    am: "a",
    pm: "p",
    midnight: "mi",
    noon: "n",
    morning: "in the morning",
    afternoon: "in the afternoon",
    evening: "in the evening",
    night: "at night"
  },
  abbreviated: {
    am: "AM",
    pm: "PM",
    midnight: "midnight",
    noon: "noon",
    morning: "in the morning",
    afternoon: "in the afternoon",
    evening: "in the evening",
    night: "at night"
  },
  wide: {
    am: "a.m.",
    pm: "p.m.",
    midnight: "midnight",
    noon: "noon",
    morning: "in the morning",
    afternoon: "in the afternoon",
    evening: "in the evening",
    night: "at night"
  }
};
var ordinalNumber = (dirtyNumber, _options) => {
  const number = Number(dirtyNumber);
  const rem100 = number % 100;
  if (rem100 > 20 || rem100 < 10) {
    switch (rem100 % 10) {
      case 1:
        return number + "st";
      case 2:
        return number + "nd";
      case 3:
        return number + "rd";
    }
  }
  return number + "th";
};
var localize = {
  ordinalNumber,
  era: buildLocalizeFn({
    values: eraValues,
    defaultWidth: "wide"
  }),
  quarter: buildLocalizeFn({
    values: quarterValues,
    defaultWidth: "wide",
    argumentCallback: (quarter) => quarter - 1
  }),
  month: buildLocalizeFn({
    values: monthValues,
    defaultWidth: "wide"
  }),
  day: buildLocalizeFn({
    values: dayValues,
    defaultWidth: "wide"
  }),
  dayPeriod: buildLocalizeFn({
    values: dayPeriodValues,
    defaultWidth: "wide",
    formattingValues: formattingDayPeriodValues,
    defaultFormattingWidth: "wide"
  })
};

// node_modules/date-fns/locale/_lib/buildMatchFn.js
function buildMatchFn(args) {
  return (string, options = {}) => {
    const width = options.width;
    const matchPattern = width && args.matchPatterns[width] || args.matchPatterns[args.defaultMatchWidth];
    const matchResult = string.match(matchPattern);
    if (!matchResult) {
      return null;
    }
    const matchedString = matchResult[0];
    const parsePatterns = width && args.parsePatterns[width] || args.parsePatterns[args.defaultParseWidth];
    const key = Array.isArray(parsePatterns) ? findIndex(parsePatterns, (pattern) => pattern.test(matchedString)) : (
      // [TODO] -- I challenge you to fix the type
      findKey(parsePatterns, (pattern) => pattern.test(matchedString))
    );
    let value;
    value = args.valueCallback ? args.valueCallback(key) : key;
    value = options.valueCallback ? (
      // [TODO] -- I challenge you to fix the type
      options.valueCallback(value)
    ) : value;
    const rest = string.slice(matchedString.length);
    return { value, rest };
  };
}
function findKey(object, predicate) {
  for (const key in object) {
    if (Object.prototype.hasOwnProperty.call(object, key) && predicate(object[key])) {
      return key;
    }
  }
  return void 0;
}
function findIndex(array, predicate) {
  for (let key = 0; key < array.length; key++) {
    if (predicate(array[key])) {
      return key;
    }
  }
  return void 0;
}

// node_modules/date-fns/locale/_lib/buildMatchPatternFn.js
function buildMatchPatternFn(args) {
  return (string, options = {}) => {
    const matchResult = string.match(args.matchPattern);
    if (!matchResult) return null;
    const matchedString = matchResult[0];
    const parseResult = string.match(args.parsePattern);
    if (!parseResult) return null;
    let value = args.valueCallback ? args.valueCallback(parseResult[0]) : parseResult[0];
    value = options.valueCallback ? options.valueCallback(value) : value;
    const rest = string.slice(matchedString.length);
    return { value, rest };
  };
}

// node_modules/date-fns/locale/en-US/_lib/match.js
var matchOrdinalNumberPattern = /^(\d+)(th|st|nd|rd)?/i;
var parseOrdinalNumberPattern = /\d+/i;
var matchEraPatterns = {
  narrow: /^(b|a)/i,
  abbreviated: /^(b\.?\s?c\.?|b\.?\s?c\.?\s?e\.?|a\.?\s?d\.?|c\.?\s?e\.?)/i,
  wide: /^(before christ|before common era|anno domini|common era)/i
};
var parseEraPatterns = {
  any: [/^b/i, /^(a|c)/i]
};
var matchQuarterPatterns = {
  narrow: /^[1234]/i,
  abbreviated: /^q[1234]/i,
  wide: /^[1234](th|st|nd|rd)? quarter/i
};
var parseQuarterPatterns = {
  any: [/1/i, /2/i, /3/i, /4/i]
};
var matchMonthPatterns = {
  narrow: /^[jfmasond]/i,
  abbreviated: /^(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/i,
  wide: /^(january|february|march|april|may|june|july|august|september|october|november|december)/i
};
var parseMonthPatterns = {
  narrow: [
    /^j/i,
    /^f/i,
    /^m/i,
    /^a/i,
    /^m/i,
    /^j/i,
    /^j/i,
    /^a/i,
    /^s/i,
    /^o/i,
    /^n/i,
    /^d/i
  ],
  any: [
    /^ja/i,
    /^f/i,
    /^mar/i,
    /^ap/i,
    /^may/i,
    /^jun/i,
    /^jul/i,
    /^au/i,
    /^s/i,
    /^o/i,
    /^n/i,
    /^d/i
  ]
};
var matchDayPatterns = {
  narrow: /^[smtwf]/i,
  short: /^(su|mo|tu|we|th|fr|sa)/i,
  abbreviated: /^(sun|mon|tue|wed|thu|fri|sat)/i,
  wide: /^(sunday|monday|tuesday|wednesday|thursday|friday|saturday)/i
};
var parseDayPatterns = {
  narrow: [/^s/i, /^m/i, /^t/i, /^w/i, /^t/i, /^f/i, /^s/i],
  any: [/^su/i, /^m/i, /^tu/i, /^w/i, /^th/i, /^f/i, /^sa/i]
};
var matchDayPeriodPatterns = {
  narrow: /^(a|p|mi|n|(in the|at) (morning|afternoon|evening|night))/i,
  any: /^([ap]\.?\s?m\.?|midnight|noon|(in the|at) (morning|afternoon|evening|night))/i
};
var parseDayPeriodPatterns = {
  any: {
    am: /^a/i,
    pm: /^p/i,
    midnight: /^mi/i,
    noon: /^no/i,
    morning: /morning/i,
    afternoon: /afternoon/i,
    evening: /evening/i,
    night: /night/i
  }
};
var match = {
  ordinalNumber: buildMatchPatternFn({
    matchPattern: matchOrdinalNumberPattern,
    parsePattern: parseOrdinalNumberPattern,
    valueCallback: (value) => parseInt(value, 10)
  }),
  era: buildMatchFn({
    matchPatterns: matchEraPatterns,
    defaultMatchWidth: "wide",
    parsePatterns: parseEraPatterns,
    defaultParseWidth: "any"
  }),
  quarter: buildMatchFn({
    matchPatterns: matchQuarterPatterns,
    defaultMatchWidth: "wide",
    parsePatterns: parseQuarterPatterns,
    defaultParseWidth: "any",
    valueCallback: (index2) => index2 + 1
  }),
  month: buildMatchFn({
    matchPatterns: matchMonthPatterns,
    defaultMatchWidth: "wide",
    parsePatterns: parseMonthPatterns,
    defaultParseWidth: "any"
  }),
  day: buildMatchFn({
    matchPatterns: matchDayPatterns,
    defaultMatchWidth: "wide",
    parsePatterns: parseDayPatterns,
    defaultParseWidth: "any"
  }),
  dayPeriod: buildMatchFn({
    matchPatterns: matchDayPeriodPatterns,
    defaultMatchWidth: "any",
    parsePatterns: parseDayPeriodPatterns,
    defaultParseWidth: "any"
  })
};

// node_modules/date-fns/locale/en-US.js
var enUS = {
  code: "en-US",
  formatDistance,
  formatLong,
  formatRelative,
  localize,
  match,
  options: {
    weekStartsOn: 0,
    firstWeekContainsDate: 1
  }
};

// node_modules/date-fns/getDayOfYear.js
function getDayOfYear(date2, options) {
  const _date = toDate(date2, options?.in);
  const diff = differenceInCalendarDays(_date, startOfYear(_date));
  const dayOfYear = diff + 1;
  return dayOfYear;
}

// node_modules/date-fns/getISOWeek.js
function getISOWeek(date2, options) {
  const _date = toDate(date2, options?.in);
  const diff = +startOfISOWeek(_date) - +startOfISOWeekYear(_date);
  return Math.round(diff / millisecondsInWeek) + 1;
}

// node_modules/date-fns/getWeekYear.js
function getWeekYear(date2, options) {
  const _date = toDate(date2, options?.in);
  const year = _date.getFullYear();
  const defaultOptions2 = getDefaultOptions();
  const firstWeekContainsDate = options?.firstWeekContainsDate ?? options?.locale?.options?.firstWeekContainsDate ?? defaultOptions2.firstWeekContainsDate ?? defaultOptions2.locale?.options?.firstWeekContainsDate ?? 1;
  const firstWeekOfNextYear = constructFrom(options?.in || date2, 0);
  firstWeekOfNextYear.setFullYear(year + 1, 0, firstWeekContainsDate);
  firstWeekOfNextYear.setHours(0, 0, 0, 0);
  const startOfNextYear = startOfWeek(firstWeekOfNextYear, options);
  const firstWeekOfThisYear = constructFrom(options?.in || date2, 0);
  firstWeekOfThisYear.setFullYear(year, 0, firstWeekContainsDate);
  firstWeekOfThisYear.setHours(0, 0, 0, 0);
  const startOfThisYear = startOfWeek(firstWeekOfThisYear, options);
  if (+_date >= +startOfNextYear) {
    return year + 1;
  } else if (+_date >= +startOfThisYear) {
    return year;
  } else {
    return year - 1;
  }
}

// node_modules/date-fns/startOfWeekYear.js
function startOfWeekYear(date2, options) {
  const defaultOptions2 = getDefaultOptions();
  const firstWeekContainsDate = options?.firstWeekContainsDate ?? options?.locale?.options?.firstWeekContainsDate ?? defaultOptions2.firstWeekContainsDate ?? defaultOptions2.locale?.options?.firstWeekContainsDate ?? 1;
  const year = getWeekYear(date2, options);
  const firstWeek = constructFrom(options?.in || date2, 0);
  firstWeek.setFullYear(year, 0, firstWeekContainsDate);
  firstWeek.setHours(0, 0, 0, 0);
  const _date = startOfWeek(firstWeek, options);
  return _date;
}

// node_modules/date-fns/getWeek.js
function getWeek(date2, options) {
  const _date = toDate(date2, options?.in);
  const diff = +startOfWeek(_date, options) - +startOfWeekYear(_date, options);
  return Math.round(diff / millisecondsInWeek) + 1;
}

// node_modules/date-fns/_lib/addLeadingZeros.js
function addLeadingZeros(number, targetLength) {
  const sign = number < 0 ? "-" : "";
  const output = Math.abs(number).toString().padStart(targetLength, "0");
  return sign + output;
}

// node_modules/date-fns/_lib/format/lightFormatters.js
var lightFormatters = {
  // Year
  y(date2, token) {
    const signedYear = date2.getFullYear();
    const year = signedYear > 0 ? signedYear : 1 - signedYear;
    return addLeadingZeros(token === "yy" ? year % 100 : year, token.length);
  },
  // Month
  M(date2, token) {
    const month = date2.getMonth();
    return token === "M" ? String(month + 1) : addLeadingZeros(month + 1, 2);
  },
  // Day of the month
  d(date2, token) {
    return addLeadingZeros(date2.getDate(), token.length);
  },
  // AM or PM
  a(date2, token) {
    const dayPeriodEnumValue = date2.getHours() / 12 >= 1 ? "pm" : "am";
    switch (token) {
      case "a":
      case "aa":
        return dayPeriodEnumValue.toUpperCase();
      case "aaa":
        return dayPeriodEnumValue;
      case "aaaaa":
        return dayPeriodEnumValue[0];
      case "aaaa":
      default:
        return dayPeriodEnumValue === "am" ? "a.m." : "p.m.";
    }
  },
  // Hour [1-12]
  h(date2, token) {
    return addLeadingZeros(date2.getHours() % 12 || 12, token.length);
  },
  // Hour [0-23]
  H(date2, token) {
    return addLeadingZeros(date2.getHours(), token.length);
  },
  // Minute
  m(date2, token) {
    return addLeadingZeros(date2.getMinutes(), token.length);
  },
  // Second
  s(date2, token) {
    return addLeadingZeros(date2.getSeconds(), token.length);
  },
  // Fraction of second
  S(date2, token) {
    const numberOfDigits = token.length;
    const milliseconds = date2.getMilliseconds();
    const fractionalSeconds = Math.trunc(
      milliseconds * Math.pow(10, numberOfDigits - 3)
    );
    return addLeadingZeros(fractionalSeconds, token.length);
  }
};

// node_modules/date-fns/_lib/format/formatters.js
var dayPeriodEnum = {
  am: "am",
  pm: "pm",
  midnight: "midnight",
  noon: "noon",
  morning: "morning",
  afternoon: "afternoon",
  evening: "evening",
  night: "night"
};
var formatters = {
  // Era
  G: function(date2, token, localize2) {
    const era = date2.getFullYear() > 0 ? 1 : 0;
    switch (token) {
      // AD, BC
      case "G":
      case "GG":
      case "GGG":
        return localize2.era(era, { width: "abbreviated" });
      // A, B
      case "GGGGG":
        return localize2.era(era, { width: "narrow" });
      // Anno Domini, Before Christ
      case "GGGG":
      default:
        return localize2.era(era, { width: "wide" });
    }
  },
  // Year
  y: function(date2, token, localize2) {
    if (token === "yo") {
      const signedYear = date2.getFullYear();
      const year = signedYear > 0 ? signedYear : 1 - signedYear;
      return localize2.ordinalNumber(year, { unit: "year" });
    }
    return lightFormatters.y(date2, token);
  },
  // Local week-numbering year
  Y: function(date2, token, localize2, options) {
    const signedWeekYear = getWeekYear(date2, options);
    const weekYear = signedWeekYear > 0 ? signedWeekYear : 1 - signedWeekYear;
    if (token === "YY") {
      const twoDigitYear = weekYear % 100;
      return addLeadingZeros(twoDigitYear, 2);
    }
    if (token === "Yo") {
      return localize2.ordinalNumber(weekYear, { unit: "year" });
    }
    return addLeadingZeros(weekYear, token.length);
  },
  // ISO week-numbering year
  R: function(date2, token) {
    const isoWeekYear = getISOWeekYear(date2);
    return addLeadingZeros(isoWeekYear, token.length);
  },
  // Extended year. This is a single number designating the year of this calendar system.
  // The main difference between `y` and `u` localizers are B.C. years:
  // | Year | `y` | `u` |
  // |------|-----|-----|
  // | AC 1 |   1 |   1 |
  // | BC 1 |   1 |   0 |
  // | BC 2 |   2 |  -1 |
  // Also `yy` always returns the last two digits of a year,
  // while `uu` pads single digit years to 2 characters and returns other years unchanged.
  u: function(date2, token) {
    const year = date2.getFullYear();
    return addLeadingZeros(year, token.length);
  },
  // Quarter
  Q: function(date2, token, localize2) {
    const quarter = Math.ceil((date2.getMonth() + 1) / 3);
    switch (token) {
      // 1, 2, 3, 4
      case "Q":
        return String(quarter);
      // 01, 02, 03, 04
      case "QQ":
        return addLeadingZeros(quarter, 2);
      // 1st, 2nd, 3rd, 4th
      case "Qo":
        return localize2.ordinalNumber(quarter, { unit: "quarter" });
      // Q1, Q2, Q3, Q4
      case "QQQ":
        return localize2.quarter(quarter, {
          width: "abbreviated",
          context: "formatting"
        });
      // 1, 2, 3, 4 (narrow quarter; could be not numerical)
      case "QQQQQ":
        return localize2.quarter(quarter, {
          width: "narrow",
          context: "formatting"
        });
      // 1st quarter, 2nd quarter, ...
      case "QQQQ":
      default:
        return localize2.quarter(quarter, {
          width: "wide",
          context: "formatting"
        });
    }
  },
  // Stand-alone quarter
  q: function(date2, token, localize2) {
    const quarter = Math.ceil((date2.getMonth() + 1) / 3);
    switch (token) {
      // 1, 2, 3, 4
      case "q":
        return String(quarter);
      // 01, 02, 03, 04
      case "qq":
        return addLeadingZeros(quarter, 2);
      // 1st, 2nd, 3rd, 4th
      case "qo":
        return localize2.ordinalNumber(quarter, { unit: "quarter" });
      // Q1, Q2, Q3, Q4
      case "qqq":
        return localize2.quarter(quarter, {
          width: "abbreviated",
          context: "standalone"
        });
      // 1, 2, 3, 4 (narrow quarter; could be not numerical)
      case "qqqqq":
        return localize2.quarter(quarter, {
          width: "narrow",
          context: "standalone"
        });
      // 1st quarter, 2nd quarter, ...
      case "qqqq":
      default:
        return localize2.quarter(quarter, {
          width: "wide",
          context: "standalone"
        });
    }
  },
  // Month
  M: function(date2, token, localize2) {
    const month = date2.getMonth();
    switch (token) {
      case "M":
      case "MM":
        return lightFormatters.M(date2, token);
      // 1st, 2nd, ..., 12th
      case "Mo":
        return localize2.ordinalNumber(month + 1, { unit: "month" });
      // Jan, Feb, ..., Dec
      case "MMM":
        return localize2.month(month, {
          width: "abbreviated",
          context: "formatting"
        });
      // J, F, ..., D
      case "MMMMM":
        return localize2.month(month, {
          width: "narrow",
          context: "formatting"
        });
      // January, February, ..., December
      case "MMMM":
      default:
        return localize2.month(month, { width: "wide", context: "formatting" });
    }
  },
  // Stand-alone month
  L: function(date2, token, localize2) {
    const month = date2.getMonth();
    switch (token) {
      // 1, 2, ..., 12
      case "L":
        return String(month + 1);
      // 01, 02, ..., 12
      case "LL":
        return addLeadingZeros(month + 1, 2);
      // 1st, 2nd, ..., 12th
      case "Lo":
        return localize2.ordinalNumber(month + 1, { unit: "month" });
      // Jan, Feb, ..., Dec
      case "LLL":
        return localize2.month(month, {
          width: "abbreviated",
          context: "standalone"
        });
      // J, F, ..., D
      case "LLLLL":
        return localize2.month(month, {
          width: "narrow",
          context: "standalone"
        });
      // January, February, ..., December
      case "LLLL":
      default:
        return localize2.month(month, { width: "wide", context: "standalone" });
    }
  },
  // Local week of year
  w: function(date2, token, localize2, options) {
    const week = getWeek(date2, options);
    if (token === "wo") {
      return localize2.ordinalNumber(week, { unit: "week" });
    }
    return addLeadingZeros(week, token.length);
  },
  // ISO week of year
  I: function(date2, token, localize2) {
    const isoWeek = getISOWeek(date2);
    if (token === "Io") {
      return localize2.ordinalNumber(isoWeek, { unit: "week" });
    }
    return addLeadingZeros(isoWeek, token.length);
  },
  // Day of the month
  d: function(date2, token, localize2) {
    if (token === "do") {
      return localize2.ordinalNumber(date2.getDate(), { unit: "date" });
    }
    return lightFormatters.d(date2, token);
  },
  // Day of year
  D: function(date2, token, localize2) {
    const dayOfYear = getDayOfYear(date2);
    if (token === "Do") {
      return localize2.ordinalNumber(dayOfYear, { unit: "dayOfYear" });
    }
    return addLeadingZeros(dayOfYear, token.length);
  },
  // Day of week
  E: function(date2, token, localize2) {
    const dayOfWeek = date2.getDay();
    switch (token) {
      // Tue
      case "E":
      case "EE":
      case "EEE":
        return localize2.day(dayOfWeek, {
          width: "abbreviated",
          context: "formatting"
        });
      // T
      case "EEEEE":
        return localize2.day(dayOfWeek, {
          width: "narrow",
          context: "formatting"
        });
      // Tu
      case "EEEEEE":
        return localize2.day(dayOfWeek, {
          width: "short",
          context: "formatting"
        });
      // Tuesday
      case "EEEE":
      default:
        return localize2.day(dayOfWeek, {
          width: "wide",
          context: "formatting"
        });
    }
  },
  // Local day of week
  e: function(date2, token, localize2, options) {
    const dayOfWeek = date2.getDay();
    const localDayOfWeek = (dayOfWeek - options.weekStartsOn + 8) % 7 || 7;
    switch (token) {
      // Numerical value (Nth day of week with current locale or weekStartsOn)
      case "e":
        return String(localDayOfWeek);
      // Padded numerical value
      case "ee":
        return addLeadingZeros(localDayOfWeek, 2);
      // 1st, 2nd, ..., 7th
      case "eo":
        return localize2.ordinalNumber(localDayOfWeek, { unit: "day" });
      case "eee":
        return localize2.day(dayOfWeek, {
          width: "abbreviated",
          context: "formatting"
        });
      // T
      case "eeeee":
        return localize2.day(dayOfWeek, {
          width: "narrow",
          context: "formatting"
        });
      // Tu
      case "eeeeee":
        return localize2.day(dayOfWeek, {
          width: "short",
          context: "formatting"
        });
      // Tuesday
      case "eeee":
      default:
        return localize2.day(dayOfWeek, {
          width: "wide",
          context: "formatting"
        });
    }
  },
  // Stand-alone local day of week
  c: function(date2, token, localize2, options) {
    const dayOfWeek = date2.getDay();
    const localDayOfWeek = (dayOfWeek - options.weekStartsOn + 8) % 7 || 7;
    switch (token) {
      // Numerical value (same as in `e`)
      case "c":
        return String(localDayOfWeek);
      // Padded numerical value
      case "cc":
        return addLeadingZeros(localDayOfWeek, token.length);
      // 1st, 2nd, ..., 7th
      case "co":
        return localize2.ordinalNumber(localDayOfWeek, { unit: "day" });
      case "ccc":
        return localize2.day(dayOfWeek, {
          width: "abbreviated",
          context: "standalone"
        });
      // T
      case "ccccc":
        return localize2.day(dayOfWeek, {
          width: "narrow",
          context: "standalone"
        });
      // Tu
      case "cccccc":
        return localize2.day(dayOfWeek, {
          width: "short",
          context: "standalone"
        });
      // Tuesday
      case "cccc":
      default:
        return localize2.day(dayOfWeek, {
          width: "wide",
          context: "standalone"
        });
    }
  },
  // ISO day of week
  i: function(date2, token, localize2) {
    const dayOfWeek = date2.getDay();
    const isoDayOfWeek = dayOfWeek === 0 ? 7 : dayOfWeek;
    switch (token) {
      // 2
      case "i":
        return String(isoDayOfWeek);
      // 02
      case "ii":
        return addLeadingZeros(isoDayOfWeek, token.length);
      // 2nd
      case "io":
        return localize2.ordinalNumber(isoDayOfWeek, { unit: "day" });
      // Tue
      case "iii":
        return localize2.day(dayOfWeek, {
          width: "abbreviated",
          context: "formatting"
        });
      // T
      case "iiiii":
        return localize2.day(dayOfWeek, {
          width: "narrow",
          context: "formatting"
        });
      // Tu
      case "iiiiii":
        return localize2.day(dayOfWeek, {
          width: "short",
          context: "formatting"
        });
      // Tuesday
      case "iiii":
      default:
        return localize2.day(dayOfWeek, {
          width: "wide",
          context: "formatting"
        });
    }
  },
  // AM or PM
  a: function(date2, token, localize2) {
    const hours = date2.getHours();
    const dayPeriodEnumValue = hours / 12 >= 1 ? "pm" : "am";
    switch (token) {
      case "a":
      case "aa":
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "abbreviated",
          context: "formatting"
        });
      case "aaa":
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "abbreviated",
          context: "formatting"
        }).toLowerCase();
      case "aaaaa":
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "narrow",
          context: "formatting"
        });
      case "aaaa":
      default:
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "wide",
          context: "formatting"
        });
    }
  },
  // AM, PM, midnight, noon
  b: function(date2, token, localize2) {
    const hours = date2.getHours();
    let dayPeriodEnumValue;
    if (hours === 12) {
      dayPeriodEnumValue = dayPeriodEnum.noon;
    } else if (hours === 0) {
      dayPeriodEnumValue = dayPeriodEnum.midnight;
    } else {
      dayPeriodEnumValue = hours / 12 >= 1 ? "pm" : "am";
    }
    switch (token) {
      case "b":
      case "bb":
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "abbreviated",
          context: "formatting"
        });
      case "bbb":
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "abbreviated",
          context: "formatting"
        }).toLowerCase();
      case "bbbbb":
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "narrow",
          context: "formatting"
        });
      case "bbbb":
      default:
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "wide",
          context: "formatting"
        });
    }
  },
  // in the morning, in the afternoon, in the evening, at night
  B: function(date2, token, localize2) {
    const hours = date2.getHours();
    let dayPeriodEnumValue;
    if (hours >= 17) {
      dayPeriodEnumValue = dayPeriodEnum.evening;
    } else if (hours >= 12) {
      dayPeriodEnumValue = dayPeriodEnum.afternoon;
    } else if (hours >= 4) {
      dayPeriodEnumValue = dayPeriodEnum.morning;
    } else {
      dayPeriodEnumValue = dayPeriodEnum.night;
    }
    switch (token) {
      case "B":
      case "BB":
      case "BBB":
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "abbreviated",
          context: "formatting"
        });
      case "BBBBB":
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "narrow",
          context: "formatting"
        });
      case "BBBB":
      default:
        return localize2.dayPeriod(dayPeriodEnumValue, {
          width: "wide",
          context: "formatting"
        });
    }
  },
  // Hour [1-12]
  h: function(date2, token, localize2) {
    if (token === "ho") {
      let hours = date2.getHours() % 12;
      if (hours === 0) hours = 12;
      return localize2.ordinalNumber(hours, { unit: "hour" });
    }
    return lightFormatters.h(date2, token);
  },
  // Hour [0-23]
  H: function(date2, token, localize2) {
    if (token === "Ho") {
      return localize2.ordinalNumber(date2.getHours(), { unit: "hour" });
    }
    return lightFormatters.H(date2, token);
  },
  // Hour [0-11]
  K: function(date2, token, localize2) {
    const hours = date2.getHours() % 12;
    if (token === "Ko") {
      return localize2.ordinalNumber(hours, { unit: "hour" });
    }
    return addLeadingZeros(hours, token.length);
  },
  // Hour [1-24]
  k: function(date2, token, localize2) {
    let hours = date2.getHours();
    if (hours === 0) hours = 24;
    if (token === "ko") {
      return localize2.ordinalNumber(hours, { unit: "hour" });
    }
    return addLeadingZeros(hours, token.length);
  },
  // Minute
  m: function(date2, token, localize2) {
    if (token === "mo") {
      return localize2.ordinalNumber(date2.getMinutes(), { unit: "minute" });
    }
    return lightFormatters.m(date2, token);
  },
  // Second
  s: function(date2, token, localize2) {
    if (token === "so") {
      return localize2.ordinalNumber(date2.getSeconds(), { unit: "second" });
    }
    return lightFormatters.s(date2, token);
  },
  // Fraction of second
  S: function(date2, token) {
    return lightFormatters.S(date2, token);
  },
  // Timezone (ISO-8601. If offset is 0, output is always `'Z'`)
  X: function(date2, token, _localize) {
    const timezoneOffset = date2.getTimezoneOffset();
    if (timezoneOffset === 0) {
      return "Z";
    }
    switch (token) {
      // Hours and optional minutes
      case "X":
        return formatTimezoneWithOptionalMinutes(timezoneOffset);
      // Hours, minutes and optional seconds without `:` delimiter
      // Note: neither ISO-8601 nor JavaScript supports seconds in timezone offsets
      // so this token always has the same output as `XX`
      case "XXXX":
      case "XX":
        return formatTimezone(timezoneOffset);
      // Hours, minutes and optional seconds with `:` delimiter
      // Note: neither ISO-8601 nor JavaScript supports seconds in timezone offsets
      // so this token always has the same output as `XXX`
      case "XXXXX":
      case "XXX":
      // Hours and minutes with `:` delimiter
      default:
        return formatTimezone(timezoneOffset, ":");
    }
  },
  // Timezone (ISO-8601. If offset is 0, output is `'+00:00'` or equivalent)
  x: function(date2, token, _localize) {
    const timezoneOffset = date2.getTimezoneOffset();
    switch (token) {
      // Hours and optional minutes
      case "x":
        return formatTimezoneWithOptionalMinutes(timezoneOffset);
      // Hours, minutes and optional seconds without `:` delimiter
      // Note: neither ISO-8601 nor JavaScript supports seconds in timezone offsets
      // so this token always has the same output as `xx`
      case "xxxx":
      case "xx":
        return formatTimezone(timezoneOffset);
      // Hours, minutes and optional seconds with `:` delimiter
      // Note: neither ISO-8601 nor JavaScript supports seconds in timezone offsets
      // so this token always has the same output as `xxx`
      case "xxxxx":
      case "xxx":
      // Hours and minutes with `:` delimiter
      default:
        return formatTimezone(timezoneOffset, ":");
    }
  },
  // Timezone (GMT)
  O: function(date2, token, _localize) {
    const timezoneOffset = date2.getTimezoneOffset();
    switch (token) {
      // Short
      case "O":
      case "OO":
      case "OOO":
        return "GMT" + formatTimezoneShort(timezoneOffset, ":");
      // Long
      case "OOOO":
      default:
        return "GMT" + formatTimezone(timezoneOffset, ":");
    }
  },
  // Timezone (specific non-location)
  z: function(date2, token, _localize) {
    const timezoneOffset = date2.getTimezoneOffset();
    switch (token) {
      // Short
      case "z":
      case "zz":
      case "zzz":
        return "GMT" + formatTimezoneShort(timezoneOffset, ":");
      // Long
      case "zzzz":
      default:
        return "GMT" + formatTimezone(timezoneOffset, ":");
    }
  },
  // Seconds timestamp
  t: function(date2, token, _localize) {
    const timestamp2 = Math.trunc(+date2 / 1e3);
    return addLeadingZeros(timestamp2, token.length);
  },
  // Milliseconds timestamp
  T: function(date2, token, _localize) {
    return addLeadingZeros(+date2, token.length);
  }
};
function formatTimezoneShort(offset, delimiter = "") {
  const sign = offset > 0 ? "-" : "+";
  const absOffset = Math.abs(offset);
  const hours = Math.trunc(absOffset / 60);
  const minutes = absOffset % 60;
  if (minutes === 0) {
    return sign + String(hours);
  }
  return sign + String(hours) + delimiter + addLeadingZeros(minutes, 2);
}
function formatTimezoneWithOptionalMinutes(offset, delimiter) {
  if (offset % 60 === 0) {
    const sign = offset > 0 ? "-" : "+";
    return sign + addLeadingZeros(Math.abs(offset) / 60, 2);
  }
  return formatTimezone(offset, delimiter);
}
function formatTimezone(offset, delimiter = "") {
  const sign = offset > 0 ? "-" : "+";
  const absOffset = Math.abs(offset);
  const hours = addLeadingZeros(Math.trunc(absOffset / 60), 2);
  const minutes = addLeadingZeros(absOffset % 60, 2);
  return sign + hours + delimiter + minutes;
}

// node_modules/date-fns/_lib/format/longFormatters.js
var dateLongFormatter = (pattern, formatLong2) => {
  switch (pattern) {
    case "P":
      return formatLong2.date({ width: "short" });
    case "PP":
      return formatLong2.date({ width: "medium" });
    case "PPP":
      return formatLong2.date({ width: "long" });
    case "PPPP":
    default:
      return formatLong2.date({ width: "full" });
  }
};
var timeLongFormatter = (pattern, formatLong2) => {
  switch (pattern) {
    case "p":
      return formatLong2.time({ width: "short" });
    case "pp":
      return formatLong2.time({ width: "medium" });
    case "ppp":
      return formatLong2.time({ width: "long" });
    case "pppp":
    default:
      return formatLong2.time({ width: "full" });
  }
};
var dateTimeLongFormatter = (pattern, formatLong2) => {
  const matchResult = pattern.match(/(P+)(p+)?/) || [];
  const datePattern = matchResult[1];
  const timePattern = matchResult[2];
  if (!timePattern) {
    return dateLongFormatter(pattern, formatLong2);
  }
  let dateTimeFormat;
  switch (datePattern) {
    case "P":
      dateTimeFormat = formatLong2.dateTime({ width: "short" });
      break;
    case "PP":
      dateTimeFormat = formatLong2.dateTime({ width: "medium" });
      break;
    case "PPP":
      dateTimeFormat = formatLong2.dateTime({ width: "long" });
      break;
    case "PPPP":
    default:
      dateTimeFormat = formatLong2.dateTime({ width: "full" });
      break;
  }
  return dateTimeFormat.replace("{{date}}", dateLongFormatter(datePattern, formatLong2)).replace("{{time}}", timeLongFormatter(timePattern, formatLong2));
};
var longFormatters = {
  p: timeLongFormatter,
  P: dateTimeLongFormatter
};

// node_modules/date-fns/_lib/protectedTokens.js
var dayOfYearTokenRE = /^D+$/;
var weekYearTokenRE = /^Y+$/;
var throwTokens = ["D", "DD", "YY", "YYYY"];
function isProtectedDayOfYearToken(token) {
  return dayOfYearTokenRE.test(token);
}
function isProtectedWeekYearToken(token) {
  return weekYearTokenRE.test(token);
}
function warnOrThrowProtectedError(token, format2, input) {
  const _message = message(token, format2, input);
  console.warn(_message);
  if (throwTokens.includes(token)) throw new RangeError(_message);
}
function message(token, format2, input) {
  const subject = token[0] === "Y" ? "years" : "days of the month";
  return `Use \`${token.toLowerCase()}\` instead of \`${token}\` (in \`${format2}\`) for formatting ${subject} to the input \`${input}\`; see: https://github.com/date-fns/date-fns/blob/master/docs/unicodeTokens.md`;
}

// node_modules/date-fns/format.js
var formattingTokensRegExp = /[yYQqMLwIdDecihHKkms]o|(\w)\1*|''|'(''|[^'])+('|$)|./g;
var longFormattingTokensRegExp = /P+p+|P+|p+|''|'(''|[^'])+('|$)|./g;
var escapedStringRegExp = /^'([^]*?)'?$/;
var doubleQuoteRegExp = /''/g;
var unescapedLatinCharacterRegExp = /[a-zA-Z]/;
function format(date2, formatStr, options) {
  const defaultOptions2 = getDefaultOptions();
  const locale = options?.locale ?? defaultOptions2.locale ?? enUS;
  const firstWeekContainsDate = options?.firstWeekContainsDate ?? options?.locale?.options?.firstWeekContainsDate ?? defaultOptions2.firstWeekContainsDate ?? defaultOptions2.locale?.options?.firstWeekContainsDate ?? 1;
  const weekStartsOn = options?.weekStartsOn ?? options?.locale?.options?.weekStartsOn ?? defaultOptions2.weekStartsOn ?? defaultOptions2.locale?.options?.weekStartsOn ?? 0;
  const originalDate = toDate(date2, options?.in);
  if (!isValid(originalDate)) {
    throw new RangeError("Invalid time value");
  }
  let parts = formatStr.match(longFormattingTokensRegExp).map((substring) => {
    const firstCharacter = substring[0];
    if (firstCharacter === "p" || firstCharacter === "P") {
      const longFormatter = longFormatters[firstCharacter];
      return longFormatter(substring, locale.formatLong);
    }
    return substring;
  }).join("").match(formattingTokensRegExp).map((substring) => {
    if (substring === "''") {
      return { isToken: false, value: "'" };
    }
    const firstCharacter = substring[0];
    if (firstCharacter === "'") {
      return { isToken: false, value: cleanEscapedString(substring) };
    }
    if (formatters[firstCharacter]) {
      return { isToken: true, value: substring };
    }
    if (firstCharacter.match(unescapedLatinCharacterRegExp)) {
      throw new RangeError(
        "Format string contains an unescaped latin alphabet character `" + firstCharacter + "`"
      );
    }
    return { isToken: false, value: substring };
  });
  if (locale.localize.preprocessor) {
    parts = locale.localize.preprocessor(originalDate, parts);
  }
  const formatterOptions = {
    firstWeekContainsDate,
    weekStartsOn,
    locale
  };
  return parts.map((part) => {
    if (!part.isToken) return part.value;
    const token = part.value;
    if (!options?.useAdditionalWeekYearTokens && isProtectedWeekYearToken(token) || !options?.useAdditionalDayOfYearTokens && isProtectedDayOfYearToken(token)) {
      warnOrThrowProtectedError(token, formatStr, String(date2));
    }
    const formatter = formatters[token[0]];
    return formatter(originalDate, token, locale.localize, formatterOptions);
  }).join("");
}
function cleanEscapedString(input) {
  const matched = input.match(escapedStringRegExp);
  if (!matched) {
    return input;
  }
  return matched[1].replace(doubleQuoteRegExp, "'");
}

// src/core/cutlist/mark.ts
var MARK_COLOURS = 10;
var MARK_SIGNS = 8;
var MARKS = MARK_COLOURS * MARK_SIGNS;
var markOf = (no) => no * 31 % MARKS;

// src/db/demo.ts
var read = (text2, units) => {
  const length = parseLength(text2, units === "in" ? "in" : "cm");
  if (!length.ok) throw new Error(length.faults[0].message);
  return length.value;
};
var CUSTOMERS = [
  ["Kettle Lock Boat Hire", "Bosun\u2019s office, by the winding hole"],
  ["Paper Moon Puppet Theatre", "stage door, afternoons"],
  ["Overhead Wire Tram Museum", "the depot, ask for the saloon shop"],
  ["Weir Cottage Rooms", ""],
  ["The Lantern Tearoom", "closed on Tuesdays"],
  ["Wharf End Chandlery", ""],
  ["Old Depot Reading Room", ""],
  ["Number Nine Narrowboat", "moored at the third bridge"]
];
var CLOTHS = [
  [
    "Towpath ticking",
    "in",
    "56",
    "1/2",
    "2 1/4",
    "0",
    0,
    "half",
    "stripe",
    "#efe7d2",
    "#2f5d73",
    1450,
    "1/4 yd",
    "Cotton twill; press hot, frays a little",
    "cotton",
    "medium",
    "little"
  ],
  [
    "Lock-keeper drill",
    "in",
    "58",
    "1/2",
    "0",
    "0",
    0,
    "any",
    "plain",
    "#31525b",
    "#31525b",
    980,
    "1/4 yd",
    "Plain heavy cotton",
    "cotton",
    "heavy",
    "little"
  ],
  [
    "Heron reed",
    "in",
    "55",
    "5/8",
    "10",
    "14",
    0.5,
    "none",
    "leaf",
    "#dfe6d6",
    "#3f6b4f",
    2680,
    "1/2 yd",
    "Half drop; the herons stand upright, so one way only",
    "cotton",
    "medium",
    "little"
  ],
  [
    "Winding wheel",
    "in",
    "55",
    "1/2",
    "9 1/2",
    "9 1/2",
    0,
    "half",
    "wheel",
    "#f3ead6",
    "#a8452f",
    2240,
    "1/4 yd",
    "Linen mix; straight match",
    "linen",
    "medium",
    "little"
  ],
  [
    "Footlight velvet",
    "mm",
    "140",
    "1",
    "0",
    "0",
    0,
    "none",
    "plain",
    "#6e1f2e",
    "#6e1f2e",
    3350,
    "10 cm",
    "Nap: all pieces one way; steam, never press",
    "mixed",
    "medium",
    "little"
  ],
  [
    "Proscenium diamond",
    "mm",
    "142",
    "1.2",
    "16",
    "22",
    0.5,
    "half",
    "diamond",
    "#2b2a4a",
    "#d8b45a",
    2890,
    "10 cm",
    "Jacquard, half drop",
    "polyester",
    "medium",
    "little"
  ],
  [
    "Saloon moquette",
    "mm",
    "130",
    "0.8",
    "12",
    "12",
    0,
    "half",
    "check",
    "#24403a",
    "#c98b3a",
    4120,
    "10 cm",
    "Wool pile for tram seats; heavy needle",
    "wool",
    "heavy",
    "little"
  ],
  [
    "Upper-deck vinyl",
    "mm",
    "137",
    "0.5",
    "0",
    "0",
    0,
    "any",
    "plain",
    "#7a2d24",
    "#7a2d24",
    1690,
    "10 cm",
    "Does not give; no hem, longer stitch",
    "vinyl",
    "heavy",
    "none"
  ],
  [
    "Bilge canvas",
    "in",
    "60",
    "3/8",
    "0",
    "0",
    0,
    "any",
    "plain",
    "#c9b68e",
    "#c9b68e",
    1120,
    "1/8 yd",
    "Waxed cotton; cold iron",
    "cotton",
    "heavy",
    "none"
  ],
  [
    "Sluice stripe",
    "mm",
    "150",
    "1",
    "18",
    "0",
    0,
    "half",
    "stripe",
    "#e9e4da",
    "#7b5a3c",
    1980,
    "10 cm",
    "Broad stripe; match across only",
    "linen",
    "medium",
    "little"
  ],
  [
    "Marionette leaf",
    "in",
    "53",
    "1/2",
    "12",
    "15",
    1 / 3,
    "none",
    "leaf",
    "#f1dfc4",
    "#8a3b55",
    3140,
    "1/4 yd",
    "Third drop; mind the stems",
    "cotton",
    "light",
    "little"
  ],
  [
    "Depot lining",
    "in",
    "46",
    "1/4",
    "0",
    "0",
    0,
    "any",
    "plain",
    "#d8d3c6",
    "#d8d3c6",
    460,
    "1/4 yd",
    "For backs that nobody sees",
    "cotton",
    "light",
    "little"
  ]
];
var envelope = (qty, width, height, cloth, rest = {}) => ({ kind: "envelope-cushion", qty, cloth, ...rest, typed: { width, height, ...rest.typed } });
var zipped = (qty, width, height, cloth, rest = {}) => ({ kind: "zip-cushion", qty, cloth, ...rest, typed: { width, height, ...rest.typed } });
var boxed = (qty, length, width, thickness, cloth, rest = {}) => ({ kind: "boxed-cushion", qty, cloth, ...rest, typed: { length, width, thickness, ...rest.typed } });
var ORDERS = [
  { customer: 0, due: -16, units: "in", batch: 0, notes: "Saloon of the \u201CCurlew\u201D", lines: [boxed(4, "46", "21 1/2", "3", { face: "Towpath ticking", welt: "Lock-keeper drill" }, { choices: { piping: "both" }, matching: "alike" }), zipped(6, "17", "17", { face: "Lock-keeper drill" })] },
  { customer: 3, due: -12, units: "in", batch: 0, lines: [envelope(5, "19", "19", { face: "Towpath ticking" }, { matching: "alike" })] },
  { customer: 7, due: -10, units: "in", batch: 0, lines: [boxed(2, "34 1/2", "19", "2 1/2", { face: "Lock-keeper drill" }, { choices: { piping: "top" } })] },
  { customer: 2, due: 3, units: "mm", batch: 1, notes: "Lower saloon, car 14", lines: [boxed(6, "88", "43", "7", { face: "Saloon moquette", welt: "Upper-deck vinyl" }, { choices: { piping: "top", grain: "straight" }, matching: "alike" })] },
  { customer: 6, due: 5, units: "mm", batch: 1, lines: [zipped(4, "48", "33", { face: "Saloon moquette" }, { matching: "centred" }), zipped(4, "42", "42", { face: "Upper-deck vinyl" }, { fit: "true" })] },
  { customer: 2, due: 6, units: "mm", batch: 1, notes: "Conductor\u2019s perch", lines: [boxed(1, "36", "31", "6", { face: "Upper-deck vinyl" }, { choices: { boxing: "wrap" } })] },
  { customer: 1, due: 8, units: "in", batch: 2, notes: "Front two rows", lines: [zipped(8, "15 1/2", "15 1/2", { face: "Heron reed" }, { matching: "centred" }), boxed(2, "41", "14", "2", { face: "Heron reed", welt: "Bilge canvas" }, { choices: { piping: "top" }, matching: "alike" })] },
  { customer: 4, due: 9, units: "in", batch: 2, lines: [envelope(6, "18", "18", { face: "Winding wheel" }, { matching: "centred" }), envelope(2, "22", "14", { face: "Heron reed" }, { matching: "alike" })] },
  { customer: 0, due: 11, units: "in", batch: 2, notes: "Cratch board seats", lines: [boxed(3, "28 3/4", "22", "3 1/2", { face: "Bilge canvas" }), zipped(5, "18 1/2", "12 1/2", { face: "Winding wheel" }, { matching: "alike" })] },
  { customer: 5, due: 12, units: "in", batch: 3, lines: [boxed(2, "52", "18 1/2", "4 1/2", { face: "Bilge canvas" }, { choices: { piping: "both", grain: "straight" } })] },
  { customer: 7, due: 13, units: "in", batch: 3, lines: [envelope(4, "17 1/2", "17 1/2", { face: "Marionette leaf", back: "Depot lining" }, { matching: "centred" })] },
  { customer: 1, due: 2, units: "mm", lines: [zipped(12, "38", "38", { face: "Footlight velvet" }), boxed(3, "105", "40", "8", { face: "Footlight velvet", welt: "Proscenium diamond" }, { choices: { piping: "both" } })], notes: "Box seats before the new play" },
  { customer: 1, due: 4, units: "mm", lines: [envelope(6, "44", "44", { face: "Proscenium diamond" }, { matching: "centred", typed: { hem: "3", overlap: "12" } })] },
  { customer: 0, due: 7, units: "in", notes: "Day boat, both benches", lines: [boxed(2, "62 1/2", "20 1/2", "3", { face: "Towpath ticking", welt: "Lock-keeper drill" }, { choices: { piping: "top" }, matching: "alike" })] },
  { customer: 3, due: 10, units: "in", lines: [envelope(3, "23", "23", { face: "Winding wheel" }, { matching: "centred" }), zipped(3, "17", "17", { face: "Lock-keeper drill" })] },
  { customer: 4, due: 14, units: "in", lines: [envelope(10, "15", "15", { face: "Towpath ticking" }, { matching: "alike" })] },
  { customer: 2, due: 15, units: "mm", notes: "Upper deck, slatted seats", lines: [boxed(8, "92", "39", "5", { face: "Upper-deck vinyl" })] },
  { customer: 6, due: 17, units: "mm", lines: [zipped(6, "46", "46", { face: "Sluice stripe" }, { matching: "alike" })] },
  { customer: 5, due: 18, units: "in", lines: [boxed(4, "17 1/2", "17", "2", { face: "Bilge canvas" })] },
  { customer: 7, due: 20, units: "in", notes: "Same as last spring", lines: [zipped(2, "25", "15", { face: "Marionette leaf" }, { matching: "alike" }), boxed(1, "73", "24 1/2", "4", { face: "Lock-keeper drill" }, { choices: { piping: "both" } })] },
  { customer: 3, due: 22, units: "mm", lines: [envelope(4, "52", "52", { face: "Sluice stripe" }, { matching: "centred" })] },
  { customer: 0, due: 24, units: "in", lines: [zipped(9, "16 3/4", "16 3/4", { face: "Heron reed" }, { matching: "alike" })] },
  { customer: 1, due: 27, units: "mm", notes: "Bench in the foyer", lines: [boxed(1, "128", "44", "9", { face: "Proscenium diamond", welt: "Footlight velvet" }, { choices: { piping: "both" }, matching: "alike" })] },
  { customer: 4, due: 30, units: "in", lines: [boxed(6, "15 1/4", "14 3/4", "1 1/2", { face: "Towpath ticking" }, { choices: { piping: "top", grain: "straight" }, matching: "alike" })] },
  { customer: 2, due: 31, units: "mm", notes: "Saloon of car 22", lines: [{ kind: "own-1", qty: 16, typed: { width: "33", height: "26", grip: "8" }, cloth: { face: "Footlight velvet" } }, { kind: "round-cushion", qty: 2, typed: { diameter: "41", thickness: "6" }, choices: { piping: "both" }, cloth: { face: "Saloon moquette", welt: "Upper-deck vinyl" } }] },
  { customer: 6, due: 32, units: "in", notes: "Log books and the reading tablet", lines: [{ kind: "padded-book-cover", qty: 3, typed: { wrap: "18 3/4", height: "11 1/4" }, cloth: { face: "Winding wheel", lining: "Depot lining" } }, { kind: "device-sleeve", qty: 1, typed: { width: "7 1/8", length: "9 7/8", depth: "3/8" }, cloth: { face: "Bilge canvas" } }, { kind: "bolster", qty: 2, typed: { diameter: "7", length: "26" }, cloth: { face: "Towpath ticking" } }] },
  { customer: 2, due: 33, units: "mm", lines: [zipped(5, "49", "34", { face: "Saloon moquette" }, { matching: "alike" })] }
];
var DEMO_BATCHES = [
  { name: "The \u201CCurlew\u201D refit", end: "cut" },
  { name: "Car 14", end: "approved" },
  { name: "Theatre and tearoom", end: "laid" },
  { name: "Quiet Friday", end: "draft" }
];
var FIRST_NO = 201;
var HEADREST = {
  id: "",
  letter: "",
  name: "Headrest slip",
  version: 1,
  about: "One piece over the top of a seat back, hemmed at both ends, taped at the sides.",
  drawing: "flat",
  object: "pad",
  fill: "firm",
  measures: [
    { id: "width", label: "Width", hint: "across the seat back, edge to edge", tape: "across" },
    { id: "height", label: "Height", hint: "from the top edge down the front", tape: "down" },
    { id: "grip", label: "Down the back", hint: "how far it hangs behind", tape: "edge", default: "cm(10)" }
  ],
  options: [
    { id: "seam", label: "Seam allowance", type: "length", default: "cm(1)", hint: "at the sides" },
    { id: "hem", label: "End hems", type: "hem", default: ["cm(1)", "cm(2)"], hint: "one turn, or two with a +" }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [{ name: "long", is: "height + grip + 2 * hem" }],
  finished: { width: "width", height: "height" },
  pieces: [
    {
      name: "slip",
      role: "face",
      qty: 1,
      across: "width + allowance",
      along: "long",
      match: { anchor: ["width / 2 + seam", "hem"], delta: ["inch(0)", "inch(0)"] }
    }
  ],
  strips: [],
  notions: [{ name: "hook-and-loop", qty: "2", length: "grip", note: "one a side, behind" }],
  checks: [
    {
      code: "grip-short",
      field: "grip",
      level: "warn",
      when: "grip < cm(5)",
      message: "A slip that hangs {grip} behind will creep up; 5 cm is the least that stays."
    }
  ],
  steps: [
    {
      do: "Press the cloth, square its end against the selvage and cut the slips; put a label on each.",
      caution: "Close the rotary cutter whenever you put it down, and keep your fingers behind the ruler\u2019s edge."
    },
    { do: "Turn and stitch the end hems, then the sides.", stitch: "seam" },
    { do: "Sew hook-and-loop to the sides behind.", stitch: "seam" },
    { do: "Check: it lies flat over the seat back, the pile runs down." }
  ]
};
var demoKind = (id2) => id2 === "own-1" ? HEADREST : kindById(id2);
async function insertDemo(tx, today) {
  const customers2 = await tx.insert(schema_exports.customers).values(CUSTOMERS.map(([name, contact]) => ({ name, contact }))).returning({ id: schema_exports.customers.id });
  const cloths2 = await tx.insert(schema_exports.cloths).values(
    CLOTHS.map(([name, units, width, selvage, across, along, dropPart, turns, pattern, groundColour, figureColour, priceMinor, step, notes, fibre, weight, give]) => ({
      name,
      units,
      widthNm: read(width, units),
      selvageLeftNm: read(selvage, units),
      selvageRightNm: read(selvage, units),
      repeatAcrossNm: read(across, units),
      repeatAlongNm: read(along, units),
      dropPart,
      turns,
      pattern,
      groundColour,
      figureColour,
      priceMinor,
      currency: "GBP",
      pricePer: units === "in" ? "yd" : "m",
      sellingStepNm: read(step, units),
      notes,
      fibre,
      weight,
      give
    }))
    // prettier-ignore
  ).returning({ id: schema_exports.cloths.id, name: schema_exports.cloths.name });
  const clothId = (name) => cloths2.find((cloth) => cloth.name === name).id;
  const batches2 = await tx.insert(schema_exports.batches).values(DEMO_BATCHES.map(({ name }) => ({ name, seconds: 3 }))).returning({ id: schema_exports.batches.id });
  const [own] = await tx.insert(schema_exports.kinds).values({}).returning({ id: schema_exports.kinds.id });
  await tx.insert(schema_exports.kindVersions).values({ kindId: own.id, version: 1, data: HEADREST });
  for (const [i, seed] of ORDERS.entries()) {
    const no = FIRST_NO + i;
    const [order] = await tx.insert(schema_exports.orders).values({
      no,
      mark: markOf(no),
      customerId: customers2[seed.customer].id,
      due: format(addDays(today, seed.due), "yyyy-MM-dd"),
      units: seed.units,
      notes: seed.notes ?? ""
    }).returning({ id: schema_exports.orders.id });
    for (const [k, line] of seed.lines.entries()) {
      const kind = demoKind(line.kind);
      const [row] = await tx.insert(schema_exports.orderLines).values({
        orderId: order.id,
        position: k + 1,
        kind: line.kind,
        kindVersion: kind.version,
        qty: line.qty,
        fit: line.fit ?? kind.defaultFit,
        matching: line.matching ?? "none",
        batchId: seed.batch === void 0 ? null : batches2[seed.batch].id
      }).returning({ id: schema_exports.orderLines.id });
      await tx.insert(schema_exports.lineValues).values([
        ...Object.entries(line.typed).map(([name, typed]) => ({
          lineId: row.id,
          name,
          isMeasure: kind.measures.some(({ id: id2 }) => id2 === name),
          valueNm: read(typed, seed.units),
          typed
        })),
        ...Object.entries(line.choices ?? {}).map(([name, choice]) => ({
          lineId: row.id,
          name,
          isMeasure: false,
          choice
        }))
      ]);
      await tx.insert(schema_exports.lineCloths).values(
        Object.entries(line.cloth).map(([role, name]) => ({
          lineId: row.id,
          role,
          clothId: clothId(name)
        }))
      );
    }
  }
  return batches2.map(({ id: id2 }) => id2);
}

// src/work/make-workroom.ts
var CLOTHS2 = 200;
var BATCHED = 4;
var LINES_A_BATCH = 30;
var whole = (number) => sql2.raw(String(Math.trunc(number)));
async function main() {
  const orders2 = Number(process.argv[2]);
  const { db, close } = connect();
  try {
    await migrate(db, { migrationsFolder: "src/db/migrations" });
    await db.transaction(async (tx) => {
      await tx.execute(sql2`TRUNCATE settings, customers, cloths, orders, batches, kinds, alone_lays RESTART IDENTITY CASCADE`);
      await tx.execute(sql2`INSERT INTO settings (key, value) VALUES ('workroom', '{"demo": false}')`);
      await insertDemo(tx, /* @__PURE__ */ new Date());
      await tx.execute(sql2`TRUNCATE orders, batches RESTART IDENTITY CASCADE`);
      await tx.execute(sql2`
        INSERT INTO cloths (name, units, width_nm, selvage_left_nm, selvage_right_nm, repeat_across_nm, repeat_along_nm, drop_part, turns,
          pattern, ground_colour, figure_colour, price_minor, currency, price_per, selling_step_nm)
        SELECT c.name || ' no. ' || n, c.units, c.width_nm, c.selvage_left_nm, c.selvage_right_nm, c.repeat_across_nm, c.repeat_along_nm,
          c.drop_part, c.turns, c.pattern, c.ground_colour, c.figure_colour, c.price_minor + n, c.currency, c.price_per, c.selling_step_nm
        FROM generate_series(1, ${whole(CLOTHS2 - 12)}) n JOIN cloths c ON c.id = 1 + n % 12`);
      await tx.execute(sql2`
        INSERT INTO customers (name) SELECT 'Berth ' || n || ' of the long basin' FROM generate_series(1, ${whole(Math.ceil(orders2 / 4))}) n`);
      const customers2 = Math.ceil(orders2 / 4);
      await tx.execute(sql2`ALTER TABLE order_lines DISABLE TRIGGER USER`);
      await tx.execute(sql2`
        INSERT INTO orders (no, mark, customer_id, due, units, notes)
        SELECT 200 + n, n % 12, 9 + n % ${whole(customers2)}, date '2027-01-01' + (n * 7919 % 700 - 350), CASE WHEN n % 3 = 0 THEN 'mm' ELSE 'in' END,
          CASE WHEN n % 5 = 0 THEN 'cabin ' || n ELSE '' END
        FROM generate_series(1, ${whole(orders2)}) n`);
      const batches2 = Math.max(1, Math.floor(2 * orders2 / BATCHED / LINES_A_BATCH));
      await tx.execute(sql2`
        INSERT INTO batches (name, status, approved_at)
        SELECT 'Cut no. ' || n, (ARRAY['draft', 'laid', 'approved', 'cut', 'cut', 'cut'])[1 + n % 6], now() FROM generate_series(1, ${whole(batches2)}) n`);
      await tx.execute(sql2`
        INSERT INTO order_lines (order_id, position, kind, kind_version, qty, fit, batch_id)
        SELECT o, p, 'zip-cushion', 2, 1 + (o + p) % 7, 'snug',
          CASE WHEN o % ${whole(BATCHED)} = 0 THEN 1 + (o / ${whole(BATCHED)}) * ${whole(batches2)}::bigint / (${whole(orders2)} / ${whole(BATCHED)} + 1) END
        FROM generate_series(1, ${whole(orders2)}) o, generate_series(1, 2) p`);
      await tx.execute(sql2`
        INSERT INTO line_values (line_id, name, is_measure, value_nm, typed)
        SELECT l.id, m.name, true,
          CASE WHEN o.units = 'in' THEN (14 + (l.id * m.k) % 9) * 25400000 ELSE (36 + (l.id * m.k) % 20) * 10000000 END,
          CASE WHEN o.units = 'in' THEN (14 + (l.id * m.k) % 9)::text ELSE (36 + (l.id * m.k) % 20)::text END
        FROM order_lines l JOIN orders o ON o.id = l.order_id, (VALUES ('width', 3), ('height', 5)) AS m (name, k)`);
      await tx.execute(sql2`
        INSERT INTO line_cloths (line_id, role, cloth_id) SELECT id, 'face', 1 + (id * 31) % ${whole(CLOTHS2)} FROM order_lines`);
      await tx.execute(sql2`ALTER TABLE order_lines ENABLE TRIGGER USER`);
      await tx.execute(sql2`UPDATE orders SET status = order_status_of(id), kinds = order_kinds_of(id)`);
    });
    await db.execute(sql2`VACUUM ANALYZE`);
  } finally {
    await close();
  }
}
await main();
