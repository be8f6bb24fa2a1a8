// @vitest-environment jsdom
import { renderHook } from "@testing-library/react";
import { expect, it } from "vitest";
import { useRulers } from "../rooms/score/useRulers";
import { film } from "./film";

it("keeps the rulers of staves that an edit leaves as they are", () => {
  const before = film();
  const { result, rerender } = renderHook((made: typeof before) => useRulers(made, 24, 4, 904), {
    initialProps: before,
  });
  const { rulers } = result.current;
  expect(rulers.length).toBeGreaterThan(2);
  rerender({ ...before, length: before.length - 3 });
  expect(result.current.rulers.slice(0, -1)).toEqual(rulers.slice(0, -1));
  result.current.rulers.slice(0, -1).forEach((ruler, i) => expect(ruler).toBe(rulers[i]));
  expect(result.current.rulers.at(-1)).not.toBe(rulers.at(-1));
});
