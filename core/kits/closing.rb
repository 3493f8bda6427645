# frozen_string_literal: true

require_relative "../value"
require_relative "covering"
require_relative "lines"
require_relative "offer"

module NutShelf
  module Core
    module Kits
      # So many packs of an offer, and the line they are bought for. Frozen.
      Bought = Value.of(:offer, :count, :for)

      # How a gap is closed: packs fetched from the own shelf by stack, what is bought, and what stays open by line.
      # Frozen.
      Closed =
        Value.of(:fetched, :bought, :gaps, :left) do
          # @return [Integer] minor units
          def cost_minor = bought.sum { |one| one.offer.price_minor * one.count }
        end

      # Closes the gaps of a kit, line by line: the own shelf first, then the cheapest packs (docs/kits.md 3). A pack
      # lowers all its lines.
      class Closing
        # Energy and protein are bought for together, of what is a meal.
        TOGETHER = %w[kcal protein_g].freeze

        # @param gaps [Hash{String=>Rational}] by line
        # @param shelf [Array<Given>] own stacks that count and are free; each of its packs
        # @param offers [Array<Offer>]
        def initialize(gaps, shelf:, offers:)
          @gaps = gaps
          @shelf = shelf.sort_by { |one| [-(one.stack.usable_until&.jd || Float::INFINITY), one.stack.id.to_s] }
          @offers = offers.each_with_index.sort_by { |one, at| [*one.rank, at] }.map(&:first)
          freeze
        end

        # @return [Closed]
        def call
          open = @gaps.dup
          fetched = fetch(open)
          after = open.dup.freeze
          bought = []
          (Lines::ALL - TOGETHER).each { |line| bought.concat(buy(line, open, bought)) }
          bought.concat(buy_meals(open, bought))
          Closed.new(
            fetched: fetched.freeze, bought: bought.freeze, gaps: after,
            left: open.select { |_, gap| gap.positive? }.freeze
          )
        end

        private

        # Whole packs, those that keep longest first.
        def fetch(open)
          taken = Hash.new(0)
          Lines::ALL.product(@shelf).each do |line, given|
            while open.fetch(line,
              0r).positive? && taken[given.stack] < given.stack.packs && per_pack(given, line).positive?
              taken[given.stack] += 1
              lower(open, given, 1)
            end
          end
          taken.to_h
        end

        def buy(line, open, bought)
          gap = open.fetch(line, 0r)
          return [] unless gap.positive?

          able = @offers.select { |one| Lines.of(one.food) == line && per_pack(one.given, line).positive? }
          half = able.map { |one| one.food.key }.uniq.size > 1 ? gap / 2 : nil
          counts = cover(able, [line], [gap], bought, half) || cover(able, [line], [gap], bought, nil)
          take(able, counts || all(able, bought), line, open)
        end

        def buy_meals(open, bought)
          amounts = TOGETHER.map { |line| open.fetch(line, 0r) }
          return [] unless amounts.any?(&:positive?)

          able = @offers.select { |one| meal?(one) }
          counts = cover(able, TOGETHER, amounts, bought, nil)
          take(able, counts || all(able, bought), amounts.first.positive? ? "kcal" : "protein_g", open)
        end

        def meal?(offer)
          !Lines::EXTRAS.include?(offer.food.food_group) && TOGETHER.any? { |line| per_pack(offer.given, line).positive? }
        end

        # @param half [Rational, nil] no food covers more than this, packs up
        def cover(offers, lines, amounts, bought, half)
          kinds = offers.map do |offer|
            Covering::Kind.new(
              food: offer.food.key, gives: lines.map { |line| per_pack(offer.given, line) },
              price_minor: offer.price_minor, weight: offer.given.gross_g, max: rest(offer, bought)
            )
          end
          Covering.new(kinds, half: half).call(amounts)
        end

        # Where nothing covers a line, all there is goes some way.
        def all(offers, bought) = offers.map { |offer| rest(offer, bought) || 0 }

        def rest(offer, bought)
          offer.max && (offer.max - bought.sum { |one| one.offer == offer ? one.count : 0 })
        end

        def take(offers, counts, line, open)
          offers.zip(counts).filter_map do |offer, count|
            next if count.zero?

            lower(open, offer.given, count)
            Bought.new(offer: offer, count: count, for: line)
          end
        end

        def lower(open, given, count)
          open.each_key { |line| open[line] = [open[line] - (per_pack(given, line) * count), 0r].max }
        end

        def per_pack(given, line) = given.line(line) / given.stack.packs
      end
    end
  end
end
