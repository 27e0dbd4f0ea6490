import { chromium } from "@playwright/test";
const W = Number(process.argv[2] ?? 1280), tag = process.argv[3] ?? "h";
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync"] });
const p = await b.newPage({ viewport: { width: W, height: 800 } });
p.on("pageerror", (e) => console.log("PAGE", e.message));
await p.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
await p.goto("http://localhost:4180/");
await p.waitForTimeout(800);
const t0 = Date.now();
await p.keyboard.press("Tab");
await p.getByLabel("A kit comes on the bench").focus();
await p.keyboard.type("Marsh Warden belt bag");
await p.keyboard.press("Enter");
await p.waitForURL(/brief/);
await p.waitForTimeout(500);
await p.getByLabel("The outing or place").focus(); await p.keyboard.type("Reed cutting");
await p.getByLabel("People", { exact: true }).fill("4");
await p.getByLabel("Hours to care").fill("3");
await p.keyboard.press("Alt+2"); await p.waitForURL(/unpack/);
await p.waitForTimeout(400);
const card = `MARSH WARDEN BELT BAG - 58 pieces
Contents:
20 x plasters, assorted
4 x blister cushions
Sterile gauze pads 10 x 10 cm (4)
Conforming bandage 7.5 cm x 4 m x 2
Elastic bandage, 8 cm
Triangular bandage (1)
Antiseptic wipes x 10
Nitrile gloves - 2 pairs
Tourniquet (windlass)
Pressure bandage 15 cm
Foil blanket
Trauma shears 18 cm
Tick remover
Paracetamol 500 mg, 8 tablets
Whistle
First aid guide
Not supplied: eye wash`;
await p.getByLabel("Contents card, as printed or dictated").focus();
await p.evaluate(() => 0);
await p.getByLabel("Contents card, as printed or dictated").fill(card);
await p.waitForTimeout(900);
await p.screenshot({ path: `.tmp/${tag}1.png` });
await p.keyboard.press("Alt+3"); await p.waitForURL(/bench/);
await p.waitForTimeout(500);
for (let i = 0; i < 16; i++) {
  if (i % 3 === 0) { await p.keyboard.press("e"); await p.keyboard.type("0829"); await p.keyboard.press("Enter"); }
  if (i === 6) await p.keyboard.press("d");
  else await p.keyboard.press("Enter");
  await p.keyboard.press("l");
  await p.keyboard.press("j");
  await p.waitForTimeout(60);
}
await p.waitForTimeout(300);
await p.screenshot({ path: `.tmp/${tag}2.png` });
await p.keyboard.press("Alt+4"); await p.waitForURL(/sieve/); await p.waitForTimeout(900);
await p.screenshot({ path: `.tmp/${tag}3.png` });
await p.keyboard.press("Alt+5"); await p.waitForURL(/plan/);
await p.getByTestId("plan-result").or(p.getByTestId("plan-infeasible")).first().waitFor({ timeout: 60000 });
await p.waitForTimeout(6000);
await p.screenshot({ path: `.tmp/${tag}4.png` });
console.log("seconds", (Date.now() - t0) / 1000);
await b.close();
