# frozen_string_literal: true

require_relative "../act"
require_relative "../day"
require_relative "../pack_opening"
require_relative "../refusal"

module NutShelf
  module Desk
    # Changes what is known of a stack: a date that was missing or misread, its name, its directions, what it was
    # bought for, its lot number, its wrapping, how it opens. The last good day follows.
    class Amend < Act
      PRINTED = %i[printed_on printed_kind].freeze
      KINDS = { "use_by" => "use by", "best_before" => "best before" }.freeze
      DAYS = %i[printed_on made_on acquired_on].freeze
      TEXTS = %i[label directions bought_for lot_text].freeze
      WORDS = {
        printed_on: "printed date", printed_kind: "kind of date", made_on: "day it was made",
        acquired_on: "day it came", label: "name", directions: "directions", bought_for: "what it was bought for",
        lot_text: "lot", wrapping: "wrapping", opening: "way it opens"
      }.freeze

      private

      # @param input [Hash] :lot_id, any of the fields of WORDS (nil takes a date away), :was with the values the person
      #   saw
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        refuse_changed(lot, input.fetch(:was, {}))
        changes = wanted(lot, input)
        raise Refusal.of(:says_that_already) if changes.empty?

        check(lot.with(**changes))
        refuse_safety(lot, changes)
        amended =
          entry(
            "amend",
            "Changed #{changes.keys.map do |name|
              WORDS.fetch(name)
            end.uniq.join(", ")} of #{work.food(lot.food_id).name}#{trace(lot, changes)}"
          )
        amended.change(lot, "amended", changes)
        PackOpening.learn(work, amended, lot.pack_id, changes[:opening])
        done(amended, lot_id: lot.id)
      end

      # A printed safety date is a keeper's to correct; whoever does it, the history says what it was.
      def refuse_safety(lot, changes)
        return if work.caller.keeper? || !changes.keys.intersect?(PRINTED) || !safety?(lot)

        raise Refusal.of(:safety_date_is_a_keepers)
      end

      def safety?(lot) = !lot.printed_on.nil? && (lot.printed_kind == "use_by" || work.food(lot.food_id).infant)

      def trace(lot, changes)
        return "" unless changes.keys.intersect?(PRINTED) && lot.printed_on

        ": it said #{printed(lot)}, now #{printed(lot.with(**changes))}"
      end

      def printed(lot)
        lot.printed_on ? "#{KINDS.fetch(lot.printed_kind)} #{Core::Words.day(lot.printed_on)}" : "nothing"
      end

      def wanted(lot, input)
        changes = input.slice(*WORDS.keys).to_h { |name, value| [name, typed(name, value)] }
        changes[:printed_kind] = nil if changes.key?(:printed_on) && changes[:printed_on].nil?
        changes.reject { |name, value| lot.public_send(name) == value }
      end

      def typed(name, value)
        return Day.read(name, value) if DAYS.include?(name)

        TEXTS.include?(name) ? value.to_s.strip : value
      end

      # The two notes of one stack must not overwrite each other unseen.
      def refuse_changed(lot, was)
        stale = was.find { |name, value| WORDS.key?(name) && shown(lot.public_send(name)) != shown(value) } or return
        raise Refusal.of(:part_changed_meanwhile, part: WORDS.fetch(stale.first),
          current: { stale.first => lot.public_send(stale.first).to_s })
      end

      # As a person saw it.
      def shown(value) = value.to_s.strip

      def check(lot)
        raise Refusal.of(:date_missing, at: "/printed_on") if lot.printed_kind && lot.printed_on.nil?
        raise Refusal.of(:date_kind_missing, at: "/printed_kind") if lot.printed_on && lot.printed_kind.nil?

        (DAYS - [:printed_on]).each do |name|
          day = lot.public_send(name)
          raise Refusal.of(:day_not_come, at: "/#{name}", day: day) if day && day > work.today
        end
      end
    end
  end
end
