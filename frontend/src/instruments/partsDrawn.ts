import type { Kind } from "./draft";

interface Label {
  x: number;
  y: number;
  toX: number;
  toY: number;
}

interface DrawnPart {
  id: string;
  path: string;
  tone: "steel" | "deep" | "brass" | "line";
  label?: Label;
}

const at = (x: number, y: number, toX: number, toY: number): Label => ({ x, y, toX, toY });

/** The parts of each kind as shapes, with where their labels stand and point. */
export const PARTS_DRAWN: Record<Kind, DrawnPart[]> = {
  plain: [
    { id: "edge", path: "M80 96H700V150H80Z", tone: "steel", label: at(640, 190, 610, 148) },
    {
      id: "marks",
      path: "M104 96V120M144 96V110M184 96V110M224 96V110M264 96V110M304 96V120M344 96V110M384 96V110M424 96V110M464 96V110M504 96V120",
      tone: "line",
      label: at(330, 66, 304, 98),
    },
  ],
  vernier: [
    { id: "beam", path: "M120 90H640V126H120Z", tone: "steel", label: at(560, 70, 540, 96) },
    { id: "depth", path: "M640 104H716V112H640Z", tone: "deep", label: at(690, 150, 690, 112) },
    {
      id: "outside",
      path: "M120 90V126V206L108 214H86L60 150V90Z",
      tone: "deep",
      label: at(60, 240, 92, 206),
    },
    {
      id: "inside",
      path: "M120 90L140 40L132 90ZM232 90L212 40L220 90Z",
      tone: "deep",
      label: at(210, 26, 206, 52),
    },
    {
      id: "slide",
      path: "M200 126H420V164H200ZM200 82H330V90H200Z",
      tone: "brass",
      label: at(400, 200, 380, 158),
    },
    { id: "outside", path: "M200 164V206L212 214H236L262 164Z", tone: "brass" },
    { id: "lock", path: "M268 68h24v14h-24Z", tone: "line", label: at(320, 52, 284, 70) },
    {
      id: "relief",
      path: "M114 132h10v14h-10ZM196 164h10v10h-10Z",
      tone: "line",
      label: at(170, 240, 124, 144),
    },
  ],
  screw: [
    {
      id: "frame",
      path: "M120 60H84Q52 74 52 112Q58 214 172 220H340Q364 220 364 198V72H320V160H334V178Q334 190 320 190H172Q128 188 120 150Z",
      tone: "deep",
      label: at(210, 244, 210, 214),
    },
    { id: "anvil", path: "M108 92H160V128H108Z", tone: "steel", label: at(130, 44, 140, 94) },
    { id: "spindle", path: "M226 94H322V126H226Z", tone: "steel", label: at(246, 60, 256, 96) },
    { id: "lock", path: "M334 56h18v16h-18Z", tone: "line", label: at(344, 34, 344, 56) },
    { id: "sleeve", path: "M364 82H500V138H364Z", tone: "steel", label: at(420, 56, 420, 84) },
    {
      id: "thimble",
      path: "M480 70L516 60H650V160H516L480 150Z",
      tone: "brass",
      label: at(570, 196, 570, 156),
    },
    {
      id: "ratchet",
      path: "M650 88h52q6 0 6 6v32q0 6 -6 6h-52Z",
      tone: "deep",
      label: at(686, 64, 684, 90),
    },
  ],
  angular: [
    {
      id: "circle",
      path: "M380 20A100 100 0 1 1 379.9 20ZM380 44A76 76 0 1 0 380.1 44Z",
      tone: "steel",
      label: at(222, 70, 296, 92),
    },
    {
      id: "arm",
      path: "M372 120L590 62L596 78L384 134Z",
      tone: "deep",
      label: at(620, 54, 580, 70),
    },
    {
      id: "window1",
      path: "M440 74l34 -18 14 26 -34 18Z",
      tone: "brass",
      label: at(500, 26, 470, 66),
    },
    {
      id: "window2",
      path: "M272 158l34 -18 14 26 -34 18Z",
      tone: "brass",
      label: at(190, 190, 276, 170),
    },
    {
      id: "magnifier",
      path: "M492 112a20 20 0 1 1 0.1 0ZM506 108l24 22",
      tone: "line",
      label: at(580, 156, 524, 124),
    },
  ],
};
