import type { Schemas } from "./api-types";
import { answer, client } from "./client";

export type Notice = Schemas["Notice"];

/** What one was told of. */
export const noticing = {
  notices: () => answer(client.GET("/api/notices")),
  seeNotice: (id: string) => answer(client.POST("/api/notices/{id}/seen", { params: { path: { id } } })),
  seeNotices: (upTo: string) => answer(client.POST("/api/notices/seen", { body: { upTo } })),
  mailbox: () => answer(client.GET("/api/mailbox")),
};
