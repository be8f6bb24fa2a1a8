import { api, type Fault, type Take } from "../../api/client";
import { useChange } from "../../api/queries";

interface Said {
  take: Take;
  rejected?: boolean;
  faults?: Fault[];
  note?: string;
}

/** Puts takes aside and back, and keeps what a person says is wrong with them. */
export function useJudge(id: number) {
  const change = useChange<Said>(id, ({ take, ...said }) =>
    api.PATCH("/api/productions/{productionId}/takes/{takeId}/judgement", {
      params: { path: { productionId: id, takeId: take.id } },
      body: { rejected: null, faults: null, note: null, ...said },
    }),
  );
  return {
    reject: (take: Take, rejected: boolean) => change.mutate({ take, rejected }),
    toggleFault: (take: Take, fault: Fault) => {
      const faults = take.faults.includes(fault)
        ? take.faults.filter((f) => f !== fault)
        : [...take.faults, fault];
      // What is put back meanwhile stays back: only a fault puts a take aside.
      change.mutate({ take, faults, ...(faults.length > 0 ? { rejected: true } : {}) });
    },
    note: (take: Take, note: string) => change.mutate({ take, note }),
  };
}

export type Judge = ReturnType<typeof useJudge>;
