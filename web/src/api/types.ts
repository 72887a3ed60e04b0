import type { components } from "./schema";

export type Schemas = components["schemas"];

export type Area = Schemas["Area"];
export type Asset = Schemas["Asset"];
export type AssetEntry = Schemas["AssetView"];
export type Background = Schemas["Background"];
export type Brought = Schemas["Brought"];
export type Color = Schemas["Color"];
export type CommonBackground = Schemas["CommonBackground"];
export type Definition = Schemas["Definition"];
export type EverySpace = Schemas["EverySpace"];
export type Edit = Schemas["Edit"];
export type Fill = Schemas["Fill"];
export type FillStratum = Schemas["FillStratum"];
export type Finding = Schemas["FindingView"];
export type Item = Schemas["ItemView"];
export type Job = Schemas["JobView"];
export type Layer = Schemas["Layer"];
export type Look = Schemas["Look"];
export type CharacterLook = Schemas["CharacterLook"];
export type CharacterLookEntry = Schemas["CharacterLookView"];
export type LookEntry = Schemas["LookView"];
export type Mend = Schemas["MendView"];
export type Options = Schemas["Options"];
export type PairCell = Schemas["PairCell"];
export type PairMatrix = Schemas["PairMatrix"];
export type PaletteImport = Schemas["PaletteImport"];
export type Owner = Schemas["Owner"];
/** A page with what follows from its place. */
export type PageEntry = Schemas["PageEntry"] & {
  /** From 1. */
  number: number;
  side: Schemas["PlacedPage"]["side"];
  /** Index of its spread, from 0. */
  spread: number;
};
export type PageReport = Schemas["PageReport"];
export type ParentEntry = Schemas["ParentView"];
export type PlacedPage = Schemas["PlacedPage"];
export type Placing = Schemas["Placing"];
/** A publication with all its pages, and their ids spread by spread. */
export type Publication = Omit<Schemas["PublicationView"], "pages"> & {
  pages: PageEntry[];
  spreads: string[][];
};
export type RecipeEntry = Schemas["RecipeView"];
export type RunOutEntry = Schemas["RunOutView"];
export type Setup = Schemas["Setup"];
export type Spread = Schemas["SpreadView"];
export type Stratum = Schemas["StratumView"];
export type SwatchEntry = Schemas["SwatchView"];
/** A story with all its paragraphs. */
export type Story = Omit<Schemas["StoryView"], "order">;
export type Panel = NonNullable<Look["panel"]>;
export type Border = NonNullable<Panel["border"]>;
export type Highlight = NonNullable<CharacterLook["highlight"]>;
export type BehindTextStratum = Schemas["BehindTextStratum"];
export type Reversal = Schemas["ReversalView"];
export type Paragraph = Schemas["Paragraph"];
/** What lies in front of the backgrounds. */
export type AnyFrame = Layer["frames"][number];
export type TextFrame = Extract<AnyFrame, { type: "textFrame" }>;
export type PictureFrame = Extract<AnyFrame, { type: "pictureFrame" }>;
export type TextBand = NonNullable<TextFrame["band"]>;
export type FrontStratum = Schemas["FrontStratum"];
export type Tinted = Schemas["Tinted"];
export type Viewing = NonNullable<Schemas["PreviewRequest"]["viewing"]>;
export type StrokeStratum = Schemas["StrokeStratum"];
export type TextStratum = Schemas["TextStratum"];
export type FileTextStratum = Schemas["FileTextStratum"];
export type Extent = Schemas["Extent"];
