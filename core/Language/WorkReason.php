<?php

declare(strict_types=1);

namespace Metrum\Language;

/** What is told of work: what was moved, what came of it, what a charge shows. Texts in data/sentences.json. */
enum WorkReason: string implements Message
{
    // What was moved, and what came of it.
    case MoveMade = 'move_made';
    case MoveMadeBy = 'move_made_by';
    case OfPart = 'of_part';
    case AllTheSame = 'all_the_same';
    case TurnedOut = 'turned_out';
    case TurnedIn = 'turned_in';
    case MassTaken = 'mass_taken';
    case MassAdded = 'mass_added';
    case SetTo = 'set_to';
    case MoveAlone = 'move_alone';
    case MoveNotRead = 'move_not_read';
    case MoveCame = 'move_came';
    case MoveCameWith = 'move_came_with';
    case FigureCompared = 'figure_compared';
    case MadeTogether = 'made_together';
    case ReadLater = 'read_later';
    case MoveAt = 'move_at';
    case MoveAtCame = 'move_at_came';
    case SlopeATurn = 'slope_a_turn';
    case SlopeForMass = 'slope_for_mass';
    case MovesCounted = 'moves_counted';
    case TwinAloneSays = 'twin_alone_says';
    case CoilUsed = 'coil_used';
    case TurnedBack = 'turned_back';
    case WentPast = 'went_past';
    case RegulatorCreeps = 'regulator_creeps';

    // What is told of a charge.
    case ChargeShared = 'charge_shared';
    case ChargeSilent = 'charge_silent';
    case ChargeUnsized = 'charge_unsized';
    case ChargeUntold = 'charge_untold';
    case ByScaleAndTwin = 'by_scale_and_twin';
    case ByTheTwin = 'by_the_twin';
    case ByScaleAndTwinFirst = 'by_scale_and_twin_first';
    case ByTheTwinFirst = 'by_the_twin_first';
    case MoreOrLess = 'more_or_less';
    case ChargeUnsealed = 'charge_unsealed';
    case ChargeRight = 'charge_right';
    case ChargeMissing = 'charge_missing';
    case ChargeTooMuch = 'charge_too_much';
    case UntilGlassClears = 'until_glass_clears';
    case UntilSuperheatStands = 'until_superheat_stands';
    case NoWayButThePlate = 'no_way_but_the_plate';
    case WhatCouldTakeIt = 'what_could_take_it';
    case ReceiverFillsUnseen = 'receiver_fills_unseen';
    case CondenserFloodsInCold = 'condenser_floods_in_cold';
    case ColdOilTakesIt = 'cold_oil_takes_it';
    case ScaleDeceives = 'scale_deceives';
    case CoilHeldShort = 'coil_held_short';
    case KneeBeforeAnything = 'knee_before_anything';
    case KneeAt = 'knee_at';
    case KneeInAll = 'knee_in_all';
    case NoKneeYet = 'no_knee_yet';

    // What is not done, and why.
    case SayHowFound = 'say_how_found';
    case NotMoved = 'not_moved';
    case NotMovedYet = 'not_moved_yet';
    case OneAtATime = 'one_at_a_time';
    case NotAnswered = 'not_answered';
    case NotedTwice = 'noted_twice';
    case NotBegun = 'not_begun';
    case NotBegunYet = 'not_begun_yet';
    case AnswerFirst = 'answer_first';

    // What current and voltage tell of a change.
    case LoadRose = 'load_rose';
    case LoadFell = 'load_fell';
    case LoadSame = 'load_same';
    case VoltsSteady = 'volts_steady';
    case VoltsMoved = 'volts_moved';
    case VoltsNotRead = 'volts_not_read';

    // What the record of a circuit tells.
    case Drifts = 'drifts';
    case DriftReaches = 'drift_reaches';
    case DriftBeyond = 'drift_beyond';

    // Goods in a box, and for how long they were out of their limits.
    case GoodsNotRead = 'goods_not_read';
    case GoodsOver = 'goods_over';
    case GoodsSinceUnknown = 'goods_since_unknown';
    case GoodsBelow = 'goods_below';
    case GoodsDiscard = 'goods_discard';
    case GoodsCheck = 'goods_check';
    case GoodsFrozen = 'goods_frozen';
    case GoodsCool = 'goods_cool';
    case GoodsWithin = 'goods_within';
    case GoodsUndecided = 'goods_undecided';

    // What fits into the time at a site, and what does not.
    case NoTimeLeft = 'no_time_left';
    case DarkBefore = 'dark_before';
    case OpensBefore = 'opens_before';
    case UnitNotReached = 'unit_not_reached';
    case BoxNotReached = 'box_not_reached';
    case MustKeepRunning = 'must_keep_running';
    case PrepareLight = 'prepare_light';
    case PrepareQuiet = 'prepare_quiet';
    case PrepareUnit = 'prepare_unit';
    case PrepareBox = 'prepare_box';
    case PrepareStop = 'prepare_stop';

    // Which circuit of a rack it is that somebody stands at.
    case TagOpenedHere = 'tag_opened_here';
    case ShutAndSeen = 'shut_and_seen';
    case OtherTagOpened = 'other_tag_opened';
    case OtherAnswered = 'other_answered';
    case TagNotOpened = 'tag_not_opened';
}
