import { useQueryClient } from "@tanstack/react-query";
import { post } from "../api/client";
import { sessionQuery } from "../api/queries";

/** Goes over to another of one's households; nothing of the one before stays in sight. */
export function useChooseHousehold(): (id: number) => Promise<void> {
  const client = useQueryClient();
  return async (id) => {
    await post("/api/session/household", { household_id: id });
    client.removeQueries({ queryKey: ["house"] });
    await client.fetchQuery({ ...sessionQuery, staleTime: 0 });
    location.assign("/");
  };
}
