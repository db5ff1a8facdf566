/** How a picture looks that is as hard as a real one; every part of it from 0 to 1. */
export interface PhotoLook {
  light: number;
  glare: number;
  tilt: number;
  blur: number;
  step: number;
}

export const PARTS = ["light", "glare", "tilt", "blur", "step"] as const;

/** A photograph in the hand of somebody who takes care. */
export const USUAL: PhotoLook = { light: 0.4, glare: 0.3, tilt: 0.4, blur: 0.2, step: 0.4 };

const KEPT_UNDER = "metrion-practice-look";

/** The look that was chosen last; null for a drawing. */
export function rememberedLook(): PhotoLook | null {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT_UNDER) ?? "null") as PhotoLook | null;
    return kept && PARTS.every((part) => kept[part] >= 0 && kept[part] <= 1) ? kept : null;
  } catch {
    return null;
  }
}

export function rememberLook(look: PhotoLook | null): void {
  localStorage.setItem(KEPT_UNDER, JSON.stringify(look));
}
