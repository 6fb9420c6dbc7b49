import { Button, Flex } from "antd";
import { useQuery } from "@tanstack/react-query";
import { api, saidBy } from "../lib/api";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";

/** The job's signed records, each of which names the sum of the one before it: whether they fit, and the file to keep. */
export function SignedRecords({ job }: { job: string }) {
  const actor = useActor();
  const chain = useQuery({ queryKey: ["chain", job], queryFn: () => api.chain(job), staleTime: 0 });
  const c = chain.data;
  return (
    <section aria-label="Signed records">
      <h3>Signed records</h3>
      {chain.isError && (
        <p role="alert" className="fault">
          {saidBy(chain.error)}
        </p>
      )}
      {c && c.records === 0 && <p className="quiet">None is signed yet.</p>}
      {c && c.records > 0 && (
        <>
          <p className={`${c.fault ? "v-reject" : "v-accept"} strong`}>
            {c.fault ? `✕ ${c.fault}` : `✓ ${c.records === 1 ? "1 record" : `${c.records} records`}, the chain holds`}
          </p>
          <p className="small quiet breaks">
            SHA-256 of the last one: {c.last}. Keep its seal elsewhere: with it, records that were cut off or written
            anew are found, whoever did it.
          </p>
          <Flex wrap gap={8} align="center">
            <Button href={`/api/jobs/${job}/chain`} download="signed-records.json">
              Save the records (file)
            </Button>
            <Button href={`/api/jobs/${job}/chain/seal`} download="seal.json">
              Save the seal (file)
            </Button>
            <Button disabled={chain.isFetching} onClick={() => void chain.refetch()}>
              Check again
            </Button>
          </Flex>
        </>
      )}
      {holds(actor, "QUALITY_MANAGER", "WELDING_ENGINEER") && (
        <p>
          <Button href={`/api/jobs/${job}/archive`} download>
            Save the whole job (archive)
          </Button>
        </p>
      )}
    </section>
  );
}
