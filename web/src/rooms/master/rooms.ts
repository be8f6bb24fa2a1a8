import type { Finding } from "../../api/client";

/** The address of the room in which something is put right. */
export const roomOf = (room: Finding["room"]) => room.toLowerCase();

export const roomName = (room: Finding["room"]) => room.charAt(0) + room.slice(1).toLowerCase();
