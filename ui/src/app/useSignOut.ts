import { useQueryClient } from "@tanstack/react-query";
import { forget } from "../api/answers";
import { post } from "../api/client";

export function useSignOut(): () => Promise<void> {
  const client = useQueryClient();
  return async () => {
    await post("/api/logout", {});
    client.clear();
    await forget();
    location.assign("/");
  };
}
