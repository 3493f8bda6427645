import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from "workbox-precaching";
import { NavigationRoute, registerRoute } from "workbox-routing";
import { NetworkFirst } from "workbox-strategies";
import { ANSWERS, AS_OF, KEPT, isAway } from "./api/answers";

/** The files of this build, written in by vite.sw.config.ts. */
declare const __SHELL__: { url: string; revision: string | null }[];
declare const self: { skipWaiting: () => Promise<void>; addEventListener: (name: string, then: () => void) => void };
declare const clients: { claim: () => Promise<void> };

// A new build takes over at once: its files are whole before the old ones go.
self.addEventListener("install", () => void self.skipWaiting());
self.addEventListener("activate", () => void clients.claim());
cleanupOutdatedCaches();
precacheAndRoute(__SHELL__, { cleanURLs: false });

const PATIENCE = 4;

/** Somebody answers for the house who is not the house: a proxy, or a server whose database is gone. */
const answers = new NetworkFirst({
  cacheName: ANSWERS,
  networkTimeoutSeconds: PATIENCE,
  plugins: [
    {
      fetchDidSucceed: async ({ response }) => {
        if (isAway(response.status)) throw new Error("away");
        return response;
      },
      cacheWillUpdate: async ({ response }) => {
        if (response.status !== 200) return null;
        const headers = new Headers(response.headers);
        headers.set(AS_OF, new Date().toISOString());
        return new Response(response.body, { status: 200, headers });
      },
    },
  ],
});

registerRoute(({ url, request }) => request.method === "GET" && KEPT.test(url.pathname), async (asked) => {
  try {
    return await answers.handle(asked);
  } catch {
    // Nothing is kept of it: what the house says itself is said, and silence is silence.
    return fetch(asked.request);
  }
});

registerRoute(
  new NavigationRoute(
    async ({ request }) => {
      try {
        const page = await fetch(request);
        if (page.ok) return page;
      } catch {
        // The shell below stands in.
      }
      return (await matchPrecache("/")) ?? Response.error();
    },
    { denylist: [/^\/api\//] },
  ),
);
