import type { Condition, Grade } from '../../plan/schema/fastening'

/** Stress area of coarse metric threads, mm². Published: ISO 898-1, from memory. */
const STRESS_AREA_MM2: Readonly<Record<string, number>> = {
  M4: 8.78,
  M5: 14.2,
  M6: 20.1,
  M8: 36.6,
  M10: 58,
  M12: 84.3,
}

/** Proof stress, MPa; for stainless the 0.2 % limit. Published: ISO 898-1 and ISO 3506-1, from memory. */
const PROOF_MPA: Readonly<Record<Grade, number>> = { '8.8': 580, '10.9': 830, 'A2-70': 450, 'A4-80': 600 }

/** Nut factor K by the state of the thread. Handbook: Shigley, from memory; handbooks give 0.12 to 0.16 with a lubricant. */
export const NUT_FACTOR: Readonly<Record<Condition, number>> = { dry: 0.2, oiled: 0.16, antiSeize: 0.13 }

/** How much of the proof load a joint that is taken apart again is tightened to. Handbook: Shigley, from memory. */
const PROOF_SHARE = 0.75

/** Nominal diameter of a metric thread as written ("M8", "m8 x 20", "M8×1.25"), mm; nothing for what is no metric thread. */
export function threadSizeMm(thread: string): number | undefined {
  const size = /^\s*M\s*(\d+(?:\.\d+)?)/i.exec(thread)?.[1]
  return size === undefined ? undefined : Number(size)
}

/**
 * Torque by bolt size, grade and thread condition: T = K·d·F with F 75 % of proof. N·m, as advice only; nothing for
 * a size the table does not have. Handbook: Shigley's Mechanical Engineering Design, from memory.
 */
export function tableTorqueNm(thread: string, grade: Grade, condition: Condition): number | undefined {
  const size = threadSizeMm(thread)
  const area = size === undefined ? undefined : STRESS_AREA_MM2[`M${size}`]
  if (size === undefined || area === undefined) return undefined
  return (NUT_FACTOR[condition] * size * PROOF_SHARE * PROOF_MPA[grade] * area) / 1000
}
