# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What happened to a stack, as the dating rules need it. Frozen.
    #
    # `situation` is how it came into the house: "bought_sealed", "bought_frozen", "left_over", "cooked",
    # "home_canned", "home_dried", "ripening", "opened" (came in open, day unknown), "thawed", "frozen_at_home", "cut",
    # "ripe", "ground", "portioned" or "bagged" (a bag of several foods, of which a :bagged event tells). `printed_on`
    # with `printed_kind` (:use_by, :best_before) is the date on the pack; `made_on` the day it was packed, made or
    # cooked; `acquired_on` the day it came; `known_on` the first day anybody knew of it (came, counted, seen), nil when
    # nothing is known. `place` is where it stood first; `events` follow. `leftover_days` is the recipe's own limit for
    # its leftovers. `method` is how it is stored ("bag", "jar", "water", "paper", "vacuum" or nil). `care_until` with
    # `care_words`: last day its care still holds, where the
    # rule says that care is part of its time.
    Story =
      Value.of(
        :food,
        :acquired_on,
        :made_on,
        :printed_on,
        :printed_kind,
        :known_on,
        :place,
        :quarantine_reason,
        :leftover_days,
        :method,
        :care_until,
        :care_words,
        situation: "bought_sealed",
        events: [].freeze,
        quarantined: false
      ) do
        # @return [Date, nil] the day its keeping counts from
        def started_on = made_on || acquired_on

        # @return [Date, nil] the earliest day anything is known of
        def first_known_on = [acquired_on, made_on, known_on, *events.map(&:on)].compact.min
      end

    # One thing that happened: kind :opened, :frozen, :thawed, :moved, :looked, :ripened, :cut, :cooked, :stored,
    # :topped_up, :dark (a power cut), :suspected (pests were found beside it) or :bagged. `on` may be nil when nobody
    # knows the day; `order` settles what came first within a day. `place` for moved (a Standing);
    # `result` for looked (:good, :turning or :bad) and dark (what was to be done); `method` for stored;
    # `parts` (of Part) for what was topped up with or cooked from; `bag` (a BagDates) for bagged. Frozen.
    Event = Value.of(:kind, :on, :order, :place, :result, :method, :bag, parts: [].freeze)

    # Until when the part of a bag is good that ends first: its name, the day, :safety or :quality. Frozen.
    BagUntil = Value.of(:name, :on, :kind)

    # What a bag remembers of its parts from the day `on` it was packed: the earliest of their days by kind of place
    # (no day: nil), `strict` the same for those who go by the date, and `last`, the earliest date in force for any of
    # them as it stood before. Frozen.
    BagDates =
      Value.of(:on, :last, by_place: {}.freeze, strict: {}.freeze) do
        # @param kind [String] of place
        # @param strict [Boolean]
        # @return [BagUntil, nil]
        def until_in(kind, strict: false) = (strict ? self.strict : by_place)[kind]
      end

    # Where a stack stands, as far as dates care: kind "cupboard", "cool_dark", "fridge" or "freezer",
    # and its usual lowest and highest temperature in whole degrees Celsius. Frozen.
    Standing =
      Value.of(:name, :kind, :low_c, :high_c) do
        # @return [Boolean] whether germs grow there
        def warm? = %w[cupboard cool_dark].include?(kind)

        # @return [Boolean]
        def freezer? = kind == "freezer"

        # @return [Boolean] whether it can freeze there without being a freezer
        def frosty? = !freezer? && low_c&.negative? == true
      end
  end
end
