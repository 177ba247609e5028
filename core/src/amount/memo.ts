/**
 * A function whose answers are kept: plans ask for the same few hundred things again and again. Only for work whose answer hangs on its
 * key alone and is never changed afterwards.
 * @param most so many answers at most; then all are let go, and it begins anew
 * @param keyOf what tells one question from another; a question that is text is its own
 */
export function remembered<Q, A>(
  most: number,
  work: (question: Q) => A,
  keyOf?: (question: Q) => string,
): (question: Q) => A {
  const kept = new Map<unknown, A>()
  return (question) => {
    const key = keyOf ? keyOf(question) : question
    const before = kept.get(key)
    if (before !== undefined || kept.has(key)) return before as A
    const answer = work(question)
    if (kept.size >= most) kept.clear()
    kept.set(key, answer)
    return answer
  }
}
