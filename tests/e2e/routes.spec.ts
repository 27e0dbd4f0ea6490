import { expect, test } from "@playwright/test";
import { readFileSync } from "node:fs";

const audit = JSON.parse(readFileSync("tests/fixtures/audits/worked-example.json", "utf8"));
const expected = JSON.parse(
  readFileSync("tests/fixtures/audits/05-tiered-dates.expected.json", "utf8"),
);

test("read-card, audit and plan answer as the command line does", async ({ request }) => {
  const card = await request.post("/api/read-card", {
    data: "- 2 packs of 5 gauze swabs\n- 1 whistle",
    headers: { "content-type": "text/plain" },
  });
  expect((await card.json()).entries.map((e: { pieces: number }) => e.pieces)).toEqual([10, 1]);
  const tiered = await request.post("/api/audit", {
    data: JSON.parse(readFileSync("tests/fixtures/audits/05-tiered-dates.json", "utf8")),
  });
  expect((await tiered.json()).coverage).toBeCloseTo(expected.coverage, 6);
  const plan = await request.post("/api/plan", { data: { audit } });
  const planned = await plan.json();
  expect(planned.status).toBe("optimal");
  expect(planned.result.grade).toBe("Ready");
  for (const [to, type, starts] of [
    ["pdf", "application/pdf", "%PDF-"],
    ["html", "text/html", "<!doctype html>"],
    ["md", "text/markdown", "# Worked example"],
  ] as const) {
    const report = await request.post("/api/report", { data: { audit, to } });
    expect(report.headers()["content-type"]).toContain(type);
    expect((await report.body()).toString("utf8").startsWith(starts), to).toBe(true);
  }
  const other = await request.post("/api/plan", {
    data: { audit, exclude: [planned.actions[0].product], maxSources: 2, frontier: true },
  });
  const { actions, frontier } = await other.json();
  expect(frontier.budget.length).toBeGreaterThan(5);
  expect(frontier.budget[0]).toMatchObject({ limit: 0, price: 0 });
  expect(actions.map((a: { product?: string }) => a.product)).not.toContain(
    planned.actions[0].product,
  );
  const none = await request.post("/api/plan", { data: { audit, budget: 1 } });
  expect((await none.json()).why[0].code).toBe("limit");
});

test("every refusal has the one form, with what and where", async ({ request }) => {
  const bad = async (path: string, data: unknown, status: number, where?: string) => {
    const r = await request.post(path, {
      data: data as never,
      headers: { "content-type": typeof data === "string" ? "text/plain" : "application/json" },
    });
    const body = await r.json();
    expect(r.status(), path).toBe(status);
    expect(body.error).toMatchObject({
      status,
      message: expect.any(String),
      problems: expect.any(Array),
    });
    if (where) expect(body.error.problems[0].where).toBe(where);
  };
  await bad("/api/read-card", "   ", 422, "card");
  await bad("/api/audit", '{"format":', 400, "body");
  await bad("/api/audit", { format: "x" }, 422, "format");
  await bad("/api/audit", { ...audit, brief: { ...audit.brief, people: 0 } }, 422, "brief.people");
  await bad("/api/report", { audit, to: "docx" }, 422);
  await bad("/api/plan", { audit, budget: -1 }, 422, "budget");
  await bad(
    "/api/plan",
    { audit: { ...audit, kit: { ...audit.kit, price: { amount: 1, currency: "CHF" } } } },
    422,
    "audit.kit.price.currency",
  );
  await bad("/api/audit", "x".repeat(6 * 1024 * 1024), 413, "body");
  await bad("/api/nothing", {}, 404);
  expect((await request.get("/api/audit")).status()).toBe(405);
});

test("the stand-in supplier has the same list for the same day", async ({ request }) => {
  const ask = async (query: string) => (await request.get(`/api/sim/prices?${query}`)).json();
  const list = await ask("day=2026-11-26");
  expect(list).toMatchObject({ day: "2026-11-26", currency: "EUR" });
  expect(await ask("day=2026-11-26&seed=1")).toEqual(list);
  expect((await ask("day=2026-11-26&seed=2")).prices).not.toEqual(list.prices);
  expect((await request.get("/api/sim/prices?day=2026-02-30")).status()).toBe(422);
});

test("health, schemas and security headers", async ({ request }) => {
  expect(await (await request.get("/api/health")).json()).toEqual({ ok: true });
  expect((await (await request.get("/api/schema/audit")).json()).properties).toHaveProperty("kit");
  const page = await request.get("/");
  const headers = page.headers();
  expect(headers["content-security-policy"]).toContain("default-src 'self'");
  expect(headers["content-security-policy"]).toContain("frame-ancestors 'none'");
  expect(headers["x-content-type-options"]).toBe("nosniff");
});
