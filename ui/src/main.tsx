import { QueryCache, QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { setNonce } from "get-nonce";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { answering } from "./api/bell";
import { Problem } from "./api/client";
import { App } from "./app/App";
import { Boundary } from "./kit/Boundary";
import { fetchSoon } from "./kit/lazily";
import { applyTheme } from "./app/theme";
import "./styles.css";

const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
if (nonce) setNonce(nonce);
applyTheme();

const away = (error: unknown) => error instanceof Problem && error.away;
const client = new QueryClient({
  queryCache: new QueryCache({ onError: (error) => away(error) && answering.ring(false) }),
  defaultOptions: {
    queries: {
      staleTime: 4000,
      networkMode: "always",
      refetchInterval: (query) => away(query.state.error) && 2500,
      retry: (count, error) => !(error instanceof Problem) && count < 2,
    },
  },
});

createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <Boundary at="">
        <App />
      </Boundary>
    </QueryClientProvider>
  </StrictMode>,
);

/** Without network the worker stands in for the house; browsers have none without a secure address. */
async function keep(): Promise<void> {
  if (import.meta.env.PROD && "serviceWorker" in navigator) await navigator.serviceWorker.register("/sw.js");
}

window.addEventListener("load", () =>
  setTimeout(() => {
    fetchSoon();
    void keep().catch(() => undefined);
  }, 2000),
);
