import { Random } from "../chance/random.ts";
import type { Answer, KeyFile } from "./exerciseFile.ts";
import { difficultyOf, FAULT_KINDS } from "./faultKinds.ts";

/** A made-up student: how well she sees, on the scale of difficulties; and how quickly she is done. */
export interface MadeUpStudent {
  readonly id: string;
  readonly skill: number;
  readonly answers: readonly Answer[];
  readonly timeS: number;
}

/** What a fault takes to be seen, on the scale of skills (Rasch, 1960): of skill 0 half see one of the middle. */
const HARD: Readonly<Record<1 | 2 | 3, number>> = { 1: -1.1, 2: 0, 3: 1.1 };
/** Skills of a class, evenly from the weakest to the best. */
const SKILLS = [-1.4, 1.8] as const;
/** Of those who see a fault, how many say why: most, the able more. */
const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/**
 * A class of known skill that never was: each fault is seen with a chance by skill and difficulty, each sound
 * line is named by mistake now and then, a decoy more often. For the demo and for tests.
 * @param taught added to every skill: the same class after it was taught
 */
export function madeUpClass(
  key: KeyFile,
  students: number,
  seed: number,
  taught = 0,
): MadeUpStudent[] {
  const random = new Random();
  return Array.from({ length: students }, (_, i): MadeUpStudent => {
    random.begin(seed, i);
    const own = SKILLS[0] + ((SKILLS[1] - SKILLS[0]) * i) / Math.max(1, students - 1);
    const skill = own + taught;
    const answers = key.verdicts.map((v): Answer => {
      const fault = key.faults.find((f) => f.line === v.line);
      const isDecoy = key.decoys.some((d) => d.line === v.line);
      const sees = random.next();
      const says = random.next();
      const other = FAULT_KINDS[Math.floor(random.next() * FAULT_KINDS.length)]!.id;
      if (fault && sees < logistic(skill - HARD[difficultyOf(fault.kind)])) {
        const right = says < logistic(1 + skill);
        return { line: v.line, verdict: v.verdict, fault: right ? fault.kind : other };
      }
      const alarm = (isDecoy ? 0.5 : 0.08) * logistic(-skill);
      if (!fault && !key.already.includes(v.line) && sees < alarm)
        return { line: v.line, verdict: "replace", fault: other };
      // What is wrong of itself the able judge as the rules do.
      const verdict = says < logistic(1 + skill) ? v.verdict : "keep";
      return { line: v.line, verdict: fault ? "keep" : verdict, fault: "" };
    });
    const timeS = Math.round(60 * (14 - 2 * skill + 6 * random.next()));
    return { id: String(i + 1).padStart(2, "0"), skill, answers, timeS };
  });
}
