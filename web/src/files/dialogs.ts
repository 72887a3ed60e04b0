import { lazily } from "../ui/lazily";

export const RecolorDialog = lazily(async () => (await import("./RecolorDialog")).RecolorDialog);

export const HidingDialog = lazily(async () => (await import("./HidingDialog")).HidingDialog);
