# frozen_string_literal: true

require_relative "support"

# How a date is told, and sentences that come up more than once.
module Explained
  FROZEN =
    "Frozen on 20 Nov 2026, in time, in the freezer: 3 to 4 months (quality); by \"look, then decide\" the longer " \
    "counts, until 20 Mar 2027."
  MINCE =
    "As bought since 20 Nov 2026, in the fridge: 1 to 2 days (safety); the shorter counts, for safety, until 21 Nov " \
    "2026."
  BREAD =
    "As bought since 20 Nov 2026, in a cupboard: 5 to 7 days (quality); by \"look, then decide\" the longer counts, " \
    "until 27 Nov 2026."
  TWO_HOURS =
    "Sold chilled or frozen, or bruises and spoils warm: keep where it was sold. Out of the cold it is safe for two " \
    "hours, one above 32 C."

  def moved(on, kind) = event(:moved, on, place: standing(kind))

  def best_before(on) = { printed_on: on, printed_kind: :best_before }

  def use_by(on) = { printed_on: on, printed_kind: :use_by }

  def told(key, place, *events, **facts) = date(story(key, place, events: events.freeze, **facts)).steps

  def warned(key, place, *events, **facts)
    date(story(key, place, events: events.freeze, **facts)).flags.map { |flag| flag[:text] }
  end
end
