import { useQueryClient } from "@tanstack/react-query";
import { post } from "../api/client";

export function useSignOut(): () => Promise<void> {
  const client = useQueryClient();
  return async () => {
    await post("/api/logout", {});
    client.clear();
    location.assign("/");
  };
}
