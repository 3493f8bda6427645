# frozen_string_literal: true

require_relative "../core/buying/big_pack"
require_relative "../core/buying/pack_cover"
require_relative "case_file"

module NutShelf
  module Exchange
    # Reads questions about packs from JSON, so that anybody can try them on figures of their own: which packs cover a
    # need ("cover"), and what a pack really costs ("big_pack"). Writes what the house would say.
    class PacksFile < CaseFile
      # @return [Hash{String=>Hash}] by id, ready for JSON
      # @raise [Unreadable] naming the case and the field
      def answers
        told("cover") { |one| Cover.new(one).answer }.merge(told("big_pack") { |one| Big.new(one).answer })
          .then { |all| all.sort_by { |id, _| order.index(id) }.to_h }
      end

      # Which packs cover a need.
      class Cover
        # @param one [CaseFile::Case]
        def initialize(one)
          @case = one
        end

        # @return [Hash]
        def answer
          found = Core::PackCover.new(@case.packs).call(
            @case.amount("need") || @case.bad("need", nil, "Say how much is needed."),
            eaten_while_good: @case.amount("eaten_while_good"), room: @case.amount("room")
          )
          { counts: found.counts, amount: @case.words(found.amount), price_minor: found.price_minor,
            within_cap: found.within_cap }
        end
      end

      # What packs really cost.
      class Big
        # @param one [CaseFile::Case]
        def initialize(one)
          @case = one
        end

        # @return [Hash]
        def answer
          tool = Core::BigPack.new(
            @case.amount("use_per_week") || @case.bad("use_per_week", nil, "Say how much is used in a week."),
            @case.whole("good_days"), freezer: freezer
          )
          { packs: @case.packs.map { |pack| told(tool.of(pack)) }, choice: tool.choice(@case.packs) }
        end

        private

        def freezer
          said = @case.part("freeze") or return
          Core::BigPack::Freezer.new(days: said.whole("days"), room: said.amount("room"))
        end

        def told(eaten)
          {
            eaten: @case.words(eaten.eaten), to_freeze: @case.words(eaten.to_freeze),
            true_minor_per_kg: eaten.true_minor_per_thousand&.round(half: :up),
            weeks: eaten.weeks && format("%.2f", eaten.weeks.round(2, half: :up))
          }
        end
      end
    end
  end
end
