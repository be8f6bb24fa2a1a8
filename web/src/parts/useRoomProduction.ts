import { useOutletContext } from "react-router";
import type { Production } from "../api/client";

/** The production whose room this is. */
export const useRoomProduction = () => useOutletContext<Production>();
