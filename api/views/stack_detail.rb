# frozen_string_literal: true

require_relative "../../core/dating/cautions"
require_relative "../../core/dating/ripening"
require_relative "../../desk/looking_back/ways_out"
require_relative "../../desk/signs"
require_relative "../../desk/usage_rates"
require_relative "../../core/reference/wrapping"
require_relative "../resources/care"
require_relative "act_view"
require_relative "stack_view"

module NutShelf
  module Api
    # One stack as JSON: its date with the reasons, what is known of it, what to look for, its care, its history.
    class StackDetail
      # @param work [Desk::UnitOfWork]
      def initialize(work, id)
        @work = work
        @lot = work.house.lots.one(id)
        @food = work.food(@lot.food_id)
      end

      # @return [Hash]
      def call
        {
          stack: StackView.new(@work).all([@lot.id]).fetch(@lot.id),
          place: place,
          **days,
          basis: @lot.basis,
          school: @work.policy.school_words,
          steps: @lot.steps,
          warnings: @lot.flags.map { |flag| flag["text"] },
          cautions: cautions,
          history: history(@lot),
          facts: facts,
          reserved: reserved,
          look: look,
          storage: storage,
          care: care,
          care_advised: care_advised,
          ripening: ripening,
          parts: parts,
          ways_out: Desk::LookingBack::WaysOut.new(@work).of(@food)
        }
      end

      private

      def place = @work.place(@lot.place_id).name

      def days = %i[quality_until safety_until ready_on].to_h { |name| [name, @lot.public_send(name)&.iso8601] }

      def facts
        jar = @lot.container_id && @work.house.containers.any(@lot.container_id)
        {
          label: @lot.label,
          printed_on: @lot.printed_on&.iso8601,
          printed_kind: @lot.printed_kind,
          made_on: @lot.made_on&.iso8601,
          acquired_on: @lot.acquired_on&.iso8601,
          directions: @lot.directions,
          bought_for: @lot.bought_for,
          lot_text: @lot.lot_text,
          wrapping: Core::Wrapping.of(@lot, @food),
          opening: @lot.opening || @food.packing.opening,
          container: jar&.name,
          container_id: @lot.container_id,
          quarantined: @lot.quarantined,
          quarantine_reason: @lot.quarantine_reason,
          situation: @lot.situation,
          seen_on: @work.house.usage.seen_on([@lot.id])[@lot.id]&.iso8601
        }
      end

      # What of it is set apart, for whom and until when.
      def reserved
        @work.house.reservations.of_lot(@lot.id, @work.today).map do |one|
          {
            id: one.id,
            amount: @work.part_words(@lot, one.amount),
            for: one.holder,
            until: one.until_on&.iso8601
          }
        end
      end

      def look
        {
          kind: Desk::Signs.kind(@work, @lot),
          signs: Desk::Signs.of(@work, @lot).map { |one| { sign: one.sign, means: one.means.to_s } }
        }
      end

      # How it is stored now, and the ways that have figures of their own.
      def storage
        now = @lot.history.reverse.find { |event| event["kind"] == "stored" }&.fetch("method") || @lot.method
        { now: now, ways: @work.catalog.rows_of(@food).filter_map(&:storage).uniq }
      end

      def care = rules.map { |rule| Care.row(rule, @work) }

      def rules = @rules ||= @work.house.care.of_lot(@lot.id)

      # What the keeping table advises for food kept like this, as far as nobody remembers it yet.
      def care_advised
        known = rules.map { |rule| rule.title.downcase }
        kind = @work.place(@lot.place_id).kind
        row = @work.catalog.keeping(@food, @lot.open ? "opened" : @lot.situation, kind, storage[:now]).row
        return [] if row.nil? || row.care_every_days.nil? || @lot.frozen || known.include?(row.care_text.to_s.downcase)

        [{ every_days: row.care_every_days, text: row.care_text }]
      end

      # How many of a batch to leave out and how many to move to the cold, and when.
      def ripening
        unless @lot.situation == "ripening" && @lot.ready_on && @lot.dimension == "count" &&
            @lot.on_hand.positive?
          return []
        end

        ripe, cold =
          %w[cupboard fridge].map do |kind|
            @work.catalog.keeping(@food, "ripe", kind).row&.days(@work.policy.school) || 0
          end
        per_day = @work.then { |work| Desk::UsageRates.new(work).rate(@lot.food_id, "count").daily }
        per_day = 1r unless per_day.positive?
        Core::Ripening.new(
          count: @lot.on_hand.to_i,
          ready_on: @lot.ready_on,
          ripe_days: ripe,
          cold_days: cold,
          per_day: per_day
        ).steps
      end

      def parts
        @lot.history.select { |event| event["kind"] == "topped_up" }.map do |event|
          {
            name: event["name"],
            on: event["on"],
            good_until: [event["quality_until"], event["safety_until"]].compact.min
          }
        end
      end

      # The stack's own history, before it that of the stack it was split off from.
      def history(lot)
        own = @work.house.ledger.history(lot.id)
        from = @work.house.sources.split_from(lot.id)
        earlier = from ? history(@work.house.lots.one(from)) : []
        earlier.select { |one| own.empty? || one[:act_id] < own.first.id } +
          own.map { |act| ActView.history(act, ->(amount) { @work.wording(lot, amount: amount) }) }
      end

      def cautions
        Core::Cautions.of(
          @food,
          perishable: perishable?,
          situation: @lot.situation,
          sealed: !@lot.open,
          warned: @lot.flags.map { |flag| flag["code"] }
        )
      end

      # As it stands: opened or sealed, frozen or not.
      def perishable?
        rules = Core::RulesInPlace.new(@work.catalog, @work.policy, @food)
        !@lot.frozen && rules.perishable?(@lot.open ? "opened" : @lot.situation, sealed: !@lot.open)
      end
    end
  end
end
