import type { NewMaster } from "../../api/client";

/** The names of the encoder's qualities, smallest file first. */
export const qualityName: Record<NewMaster["quality"], string> = {
  SMALL: "small",
  STANDARD: "standard",
  HIGH: "high",
};
