import { api, type Fault, type Take } from "../../api/client";
import { useChange } from "../../api/queries";
import { useNotice } from "../../parts/notice";

interface Said {
  take: Take;
  rejected?: boolean;
  fault?: Fault;
  there?: boolean;
  note?: string;
}

/** Puts takes aside and back, keeps what a person says is wrong with them, and says what follows. */
export function useJudge(id: number) {
  const tell = useNotice((s) => s.tell);
  const { mutateAsync } = useChange<Said, { says: string }>(id, ({ take, ...said }) =>
    api.PATCH("/api/productions/{productionId}/takes/{takeId}/judgement", {
      params: { path: { productionId: id, takeId: take.id } },
      body: { rejected: null, fault: null, there: null, note: null, ...said },
    }),
  );
  const judge = (said: Said) =>
    void mutateAsync(said).then(
      ({ says }) => says !== "" && tell(says),
      () => {
        // Told where the request was made.
      },
    );
  return {
    reject: (take: Take, rejected: boolean) => judge({ take, rejected }),
    toggleFault: (take: Take, fault: Fault) =>
      judge({ take, fault, there: !take.faults.includes(fault) }),
    note: (take: Take, note: string) => judge({ take, note }),
  };
}

export type Judge = ReturnType<typeof useJudge>;
