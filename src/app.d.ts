import type { IncomingMessage } from "node:http";

declare global {
  namespace App {
    /** What the Node adapter gives beside the request; absent while developing. */
    interface Platform {
      readonly req?: IncomingMessage;
    }
  }
}
export {};
