import type { CauseId } from '../ids.ts';

/**
 * What helps the owner next time, by what was found: a sentence each, as one would say it across the
 * counter, without blame. Common practice, no published source. Causes that an owner cannot avoid have none.
 */
const HELPS: Readonly<Partial<Record<string, string>>> = {
  'spool-cap-wrong': 'A spool cap a little wider than the spool end, close to it but not tight.',
  'spool-snag': 'Put the spool on with its notch away from where the thread runs off.',
  'spool-axis-wrong': 'Cross-wound spools run off the end, stacked ones from the side on a felt.',
  'spool-loose': 'Large cones run best from a stand of their own behind the machine.',
  'outside-tension-discs':
    'Thread with the presser up: only then does the thread slip between the discs.',
  'takeup-missed': 'Turn the wheel until the take-up is at its top before you thread.',
  'guide-missed': 'Thread point by point in the order of the manual, slowly, with good light.',
  'check-spring-off': 'Pull the thread firmly round the lower bend, so that it lies in the spring.',
  'needle-threaded-wrong-side': 'Thread the needle from the side with the long groove.',
  'thread-poor': 'Old or fuzzy thread is for basting. Fresh polyester thread sews best.',
  'thread-too-thick':
    'Thick thread wants a top-stitch needle, and all-purpose thread in the bobbin.',
  'thread-mismatch': 'The same thread above and below is the easiest to balance.',
  'thread-slubs': 'Keep knotty thread for hand sewing.',
  'top-tension-high':
    'The middle mark of the dial is right for most sewing. Change it by half steps and try.',
  'top-tension-low':
    'The middle mark of the dial is right for most sewing. Change it by half steps and try.',
  'disc-lint':
    'Cut the thread at the spool and pull it out forwards, through the needle. It keeps the discs clean.',
  'needle-backward':
    'The flat of the needle faces where the manual shows. A picture of it inside the lid helps.',
  'needle-low': 'Push the needle up until it stops, hold it there, then tighten.',
  'needle-clamp-loose': 'Tighten the needle screw with the screwdriver, not with fingers alone.',
  'needle-wrong-system': 'Keep to the needle system named in the manual. The packet says it.',
  'needle-dull': 'A new needle for each larger project keeps the stitches even.',
  'needle-bent': 'A new needle after it has hit something, even if it looks straight.',
  'needle-burr': 'A new needle after it has hit something, even if it looks straight.',
  'needle-gummed': 'For glued or fusible work: a coated needle, wiped now and then.',
  'needle-too-thin': 'Thick seams: a larger needle, and the wheel by hand across the crossing.',
  'needle-point-wrong': 'Knits like a ball or stretch point, woven cloth a sharp one.',
  'needle-eye-small': 'Metallic and thick threads like a needle with a long, wide eye.',
  'needle-too-thick': 'Fine cloth likes a fine needle: smaller holes, cleaner stitches.',
  'bobbin-wrong-class': 'Bobbins look alike and are not. Take yours along when you buy more.',
  'bobbin-metal-on-magnet': 'This machine wants plastic bobbins only.',
  'bobbin-reversed': 'Drop the bobbin in so that it turns the way the little drawing shows.',
  'bobbin-soft': 'Wind bobbins slowly and evenly, with the thread pulled into the winder’s disc.',
  'bobbin-damaged': 'Throw nicked bobbins away. They look harmless and are not.',
  'bobbin-off-spring': 'Pull the bobbin thread under the spring until you feel it drag.',
  'bobbin-tail-short': 'Leave a hand’s width of thread, above and below, when you start.',
  'bobbin-empty': 'A second bobbin wound ready saves a seam.',
  'case-misseated': 'After cleaning, rock the bobbin case gently: it should sit and stop.',
  'case-burr': 'Stop at the first knock: it saves the bobbin case.',
  'case-pierced': 'Stop at the first knock: it saves the bobbin case.',
  'hook-lint': 'Brush out the bobbin area after every few bobbins. No spray, no blowing.',
  'race-scraps': 'Trim thread ends outside the machine and look into the bobbin area now and then.',
  'feed-lint': 'Brush between the feed teeth when you clean the bobbin area.',
  'hook-dry': 'Oil only where and how often the manual says. If it says none, none.',
  'presser-height-wrong':
    'Thick and thin cloth want different presser pressure. The manual shows where.',
  'foot-wrong': 'After changing the foot or the stitch, turn the wheel once by hand.',
  'plate-hole-wide': 'Thin cloth: the straight-stitch plate, or tissue paper beneath.',
  'tails-loose': 'Hold both threads back for the first stitches.',
  'foot-up': 'Presser down before you start. It is easily missed under thick cloth.',
  'needle-too-low-at-threading':
    'Stop with the needle at its top, both before you start and when you take the work out.',
  flagging: 'Hoop it firmly, or put stabiliser beneath, so that the cloth does not lift.',
  'pulls-fabric': 'Let the machine feed. Guide with flat hands, without pulling.',
  'sews-over-pins': 'Take each pin out just before the needle comes to it.',
  'too-thick': 'Thick crossings: a strong needle, slowly, the last stitches by hand.',
  'design-poor': 'Dense designs want stabiliser, and fewer stitches.',
  'feed-lowered': 'After free-motion work, raise the feed teeth again.',
  'winder-engaged': 'Push the bobbin winder back before you sew.',
  'clutch-loose': 'Tighten the knob in the hand wheel after winding a bobbin.',
  'stiff-from-idling': 'A few minutes’ sewing every month keeps the oil moving.',
  'stitch-wrong': 'After choosing a stitch, turn the wheel once by hand before the pedal.',
} satisfies Partial<Record<CauseId, string>>;

/** What helps the owner next time against a cause; undefined where there is nothing they could do. */
export function helpAgainst(cause: string): string | undefined {
  return HELPS[cause];
}
