<?php

declare(strict_types=1);

namespace Metrum\Language;

/** What can be said of a plant and of the work at it. How it is said stands in data/sentences.json, once. */
enum Reason: string implements Message
{
    // How sentences go together.
    case Labelled = 'labelled';
    case Text = 'text';
    case Seen = 'seen';
    case Listed = 'listed';

    // What must hold.
    case Settled = 'settled';
    case CoilClear = 'coil_clear';
    case Fans = 'fans';
    case DoorsShut = 'doors_shut';
    case StemOnAutomatic = 'stem_on_automatic';
    case Running = 'running';
    case LiquidAtValve = 'liquid_at_valve';
    case HeadHeld = 'head_held';
    case BoxNear = 'box_near';
    case LiquidWarmerThanAir = 'liquid_warmer_than_air';
    case Licence = 'licence';
    case LeakSearched = 'leak_searched';
    case CoilFans = 'coil_fans';
    case CondenserFans = 'condenser_fans';
    case Coil = 'coil';
    case Condenser = 'condenser';
    case CondenserFace = 'condenser_face';
    case Head = 'head';
    case Current = 'current';
    case ItAnswers = 'it_answers';
    case LookedAtFirst = 'looked_at_first';
    case LookedAt = 'looked_at';
    case Room = 'room';
    case Plate = 'plate';
    case Drier = 'drier';
    case TwoSigns = 'two_signs';
    case ShortageFits = 'shortage_fits';
    case StillMissing = 'still_missing';
    case SightGlass = 'sight_glass';
    case Weather = 'weather';
    case SurplusFits = 'surplus_fits';
    case NoCircuitFills = 'no_circuit_fills';

    // How it stands, seen.
    case NotLookedAt = 'not_looked_at';
    case NotSaid = 'not_said';
    case NotRead = 'not_read';
    case NotKnown = 'not_known';
    case BlockedClearFirst = 'blocked_clear_first';
    case DirtyCleanFirst = 'dirty_clean_first';
    case CleanFirst = 'clean_first';
    case PutRightFirst = 'put_right_first';
    case SeenPutRightFirst = 'seen_put_right_first';
    case Counted = 'counted';
    case CountedPutRightFirst = 'counted_put_right_first';
    case AllRunning = 'all_running';
    case StandsOnManual = 'stands_on_manual';
    case StartIt = 'start_it';
    case WaitUntilSettled = 'wait_until_settled';
    case ClockLeft = 'clock_left';

    // How it stands, measured.
    case NoSubcooling = 'no_subcooling';
    case GlassBubbles = 'glass_bubbles';
    case GlassClear = 'glass_clear';
    case Subcooled = 'subcooled';
    case StandsAt = 'stands_at';
    case HeadLost = 'head_lost';
    case PullDownFirst = 'pull_down_first';
    case ReadsHigh = 'reads_high';
    case WarmerBy = 'warmer_by';
    case DropSaysNothing = 'drop_says_nothing';

    // What is permitted.
    case AsForEveryRefrigerant = 'as_for_every_refrigerant';
    case ConfirmedForClass = 'confirmed_for_class';
    case ClassAsksLicence = 'class_asks_licence';
    case SearchedAtThisVisit = 'searched_at_this_visit';
    case NothingBeforeSearch = 'nothing_before_search';
    case AddedBeforeSearch = 'added_before_search';
    case SearchFirst = 'search_first';

    // Whether it is settled.
    case CoilFansStand = 'coil_fans_stand';
    case CoilBlocked = 'coil_blocked';
    case NobodySaid = 'nobody_said';
    case PlantIs = 'plant_is';
    case Disturbed = 'disturbed';
    case StillMoves = 'still_moves';
    case BoxAboveSet = 'box_above_set';

    // Before refrigerant goes in.
    case ReceiverStandsAt = 'receiver_stands_at';
    case LiquidBacksUp = 'liquid_backs_up';
    case MuchAdded = 'much_added';
    case LookAtSeal = 'look_at_seal';
    case LookAtCoil = 'look_at_coil';
    case LookAtCondenser = 'look_at_condenser';
    case LookAtDrier = 'look_at_drier';
    case NearStop = 'near_stop';
    case OverCurrent = 'over_current';
    case TwoAdditionsSilent = 'two_additions_silent';
    case LiquidAirAndDrier = 'liquid_air_and_drier';
    case OverPlateByTwin = 'over_plate_by_twin';
    case OverPlateByWeight = 'over_plate_by_weight';
    case OfPlateByTwin = 'of_plate_by_twin';
    case OfPlateByWeight = 'of_plate_by_weight';
    case Restriction = 'restriction';
    case AsFound = 'as_found';
    case SignsWanted = 'signs_wanted';
    case SomeSignsWanted = 'some_signs_wanted';
    case SignsAgainst = 'signs_against';
    case SomeSignsAgainst = 'some_signs_against';
    case Confirmed = 'confirmed';
    case Chance = 'chance';
    case OnlyChance = 'only_chance';
    case OnlyChanceBeside = 'only_chance_beside';
    case AboutMissing = 'about_missing';
    case NothingTold = 'nothing_told';
    case NoneTooMuch = 'none_too_much';
    case ShowsNoMore = 'shows_no_more';
    case StillShows = 'still_shows';
    case WouldStandAt = 'would_stand_at';
    case WouldNearStop = 'would_near_stop';
    case LiquidWouldCome = 'liquid_would_come';

    // Signs of a shortage.
    case LevelBelowExpected = 'level_below_expected';
    case CircuitsStarved = 'circuits_starved';
    case CircuitsFilled = 'circuits_filled';
    case LevelDidNotAnswer = 'level_did_not_answer';
    case NoSignOfShortage = 'no_sign_of_shortage';
    case OneSignOfShortage = 'one_sign_of_shortage';
    case SubcoolingIs = 'subcooling_is';
    case SuperheatIs = 'superheat_is';
    case ReceiverAt = 'receiver_at';
    case SignSubcooling = 'sign_subcooling';
    case SignGlass = 'sign_glass';
    case SignSuperheat = 'sign_superheat';
    case SignLevel = 'sign_level';

    // Before refrigerant comes out.
    case BubblesTakeNone = 'bubbles_take_none';
    case AirNotRead = 'air_not_read';
    case ColdAndNoHead = 'cold_and_no_head';
    case AirIs = 'air_is';
    case AddedMoreThanMissing = 'added_more_than_missing';

    // Before a visit is closed.
    case Provisional = 'provisional';
    case Contradicted = 'contradicted';
    case NothingProven = 'nothing_proven';

    // What is not added, and why.
    case LookBeforeAdding = 'look_before_adding';
    case DoNotAdd = 'do_not_add';

    // What contradicts itself.
    case TakeAgain = 'take_again';
    case BelowRefrigerant = 'below_refrigerant';
    case SuperheatAboveTd = 'superheat_above_td';
    case LiquidColderThanAir = 'liquid_colder_than_air';
    case IsDischargePipe = 'is_discharge_pipe';
    case WarmerAfterDrier = 'warmer_after_drier';
    case DischargeTooCold = 'discharge_too_cold';
    case TooMuchSubcooling = 'too_much_subcooling';
    case ColderOnTheWay = 'colder_on_the_way';
    case AllAsTheAir = 'all_as_the_air';
    case NoSeal = 'no_seal';
    case CoilTooWarm = 'coil_too_warm';
    case CondenserTooCold = 'condenser_too_cold';
    case SupplyTooCold = 'supply_too_cold';
    case SupplyWarmer = 'supply_warmer';
    case OutsideTable = 'outside_table';
    case MoreFansThanFitted = 'more_fans_than_fitted';
    case FansCountedOtherwise = 'fans_counted_otherwise';
    case HeadNotAbove = 'head_not_above';
    case NoCurrent = 'no_current';
    case ReceiverAboveDischarge = 'receiver_above_discharge';
    case SuctionAboveCoil = 'suction_above_coil';
    case TakenOnMetal = 'taken_on_metal';
    case TakenFar = 'taken_far';
    case TakenOfSurface = 'taken_of_surface';
    case StandingDoesNotFit = 'standing_does_not_fit';
    case OffBy = 'off_by';
    case WouldFit = 'would_fit';
    case Nothing = 'nothing';

    // To the owner: how it was found.
    case OwnerComplaint = 'owner_complaint';
    case FoundBox = 'found_box';
    case LeftBox = 'left_box';
    case BoxUnknown = 'box_unknown';
    case FullStop = 'full_stop';
    case WarmerThanSet = 'warmer_than_set';
    case ColderThanSet = 'colder_than_set';
    case WhereItShouldBe = 'where_it_should_be';
    case TrippedHigh = 'tripped_high';
    case TrippedLow = 'tripped_low';
    case TrippedOil = 'tripped_oil';
    case TrippedOverload = 'tripped_overload';
    case TrippedThermostat = 'tripped_thermostat';
    case DidNotStart = 'did_not_start';
    case RanAgain = 'ran_again';
    case FoundProven = 'found_proven';
    case NothingMeasured = 'nothing_measured';
    case NothingPoints = 'nothing_points';
    case CauseUncertain = 'cause_uncertain';
    case MostLikely = 'most_likely';
    case LookAgain = 'look_again';
    case LookAgainWhenCold = 'look_again_when_cold';

    // To the owner: what was done.
    case ThermostatSet = 'thermostat_set';
    case DoneAt = 'done_at';
    case RefrigerantMoved = 'refrigerant_moved';
    case WeAdded = 'we_added';
    case WeTookOut = 'we_took_out';
    case BeforeLeak = 'before_leak';
    case BeforeLeakBecause = 'before_leak_because';
    case LeakMended = 'leak_mended';
    case LeakStill = 'leak_still';
    case LeakFound = 'leak_found';
    case LeakUnproven = 'leak_unproven';
    case LeakNotFound = 'leak_not_found';
    case LeakAt = 'leak_at';

    // To the owner: how it was left.
    case LeftNotRead = 'left_not_read';
    case LeftSound = 'left_sound';
    case LeftSoundMissed = 'left_sound_missed';
    case LeftNoFault = 'left_no_fault';
    case LeftStillWrong = 'left_still_wrong';
    case LeftUnknown = 'left_unknown';
    case Danger = 'danger';
    case NotPutBack = 'not_put_back';
    case NotPutBackOf = 'not_put_back_of';
    case LeaksOutAgain = 'leaks_out_again';
    case LeakOpen = 'leak_open';
    case CoilFansStopped = 'coil_fans_stopped';
    case CondenserFansStopped = 'condenser_fans_stopped';
    case StillWarmer = 'still_warmer';
    case StillColder = 'still_colder';
    case BegunNotFinished = 'begun_not_finished';
    case NothingToMend = 'nothing_to_mend';
    case NextLook = 'next_look';
    case ComesBack = 'comes_back';

    // What proves a repair.
    case ProofBox = 'proof_box';
    case ProofCoilSuperheat = 'proof_coil_superheat';
    case ProofCompressorSuperheat = 'proof_compressor_superheat';
    case ProofSubcooling = 'proof_subcooling';
    case ProofCoilDifference = 'proof_coil_difference';
    case ProofSettled = 'proof_settled';
    case ProofPullDown = 'proof_pull_down';
    case ProofPutBack = 'proof_put_back';
    case ProofNothingTouched = 'proof_nothing_touched';
    case ProofSecondLook = 'proof_second_look';
    case AboveIt = 'above_it';
    case ValueWanted = 'value_wanted';
    case ValueIs = 'value_is';
    case StillOpen = 'still_open';
    case ToBeOn = 'to_be_on';
    case NotReadYet = 'not_read_yet';
    case NotReadYetWanted = 'not_read_yet_wanted';
    case NotReadSince = 'not_read_since';
    case NotReadSinceWanted = 'not_read_since_wanted';
    case ClockRuns = 'clock_runs';
    case NotAtCoil = 'not_at_coil';
    case NotTimed = 'not_timed';
    case DateALook = 'date_a_look';
    case RightCircuit = 'right_circuit';
}
