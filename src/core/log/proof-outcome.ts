/** How a proof went. Put off is an entry of older logs: today that is an answer of its own, with its reason. */
export const PROOF_OUTCOMES = ['good', 'notGood', 'notNow', 'notDriven'] as const
export type ProofOutcome = (typeof PROOF_OUTCOMES)[number]
