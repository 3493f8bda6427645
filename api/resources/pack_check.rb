# frozen_string_literal: true

require_relative "../base"
require_relative "../../core/quantity/decimal"
require_relative "../../desk/pack_check"

module NutShelf
  module Api
    # Whether a big pack is worth it: a tool of its own, which changes nothing.
    class PackCheck < Base
      post("/") do
        asked = body_as("AskPackCheck")
        read_only do |work|
          use = asked[:use_per_week]&.to_r
          json told(work, Desk::PackCheck.new(work).call(asked[:food_id], asked[:packs], use: use), asked[:packs])
        end
      end

      helpers do
        def told(work, found, asked)
          {
            food: found.food.name, use: grams(work, found.use), use_known: found.use.positive?, said: found.said,
            **found.slice(:good_days, :freezer_days, :dried_days, :choice),
            frozen_choice: found.frozen_choice, break_even: found.break_even && grams(work, found.break_even),
            forms: found.forms.map { |form| form.slice(:food, :per_hundred, :kilo_minor) },
            packs: found.packs.zip(asked).map { |one, said| pack(work, one, said, found.food) }
          }
        end

        def pack(work, one, said, food)
          {
            size: size(work, said, one.pack.count), price_minor: one.pack.price_minor, offer: said[:offer],
            **one.slice(:fresh, :frozen, :dried).transform_values { |way| way && eaten(work, way, one.pack, food) }
          }
        end

        def size(work, said, count)
          one = work.size(Core::Quantity.of(said[:amount].to_r, said[:unit]))
          count > 1 ? "#{count} x #{one}" : one
        end

        def eaten(work, eaten, pack, food)
          kilo = eaten.true_minor_per_thousand
          {
            eaten: grams(work, eaten.eaten), to_freeze: eaten.to_freeze.positive? ? grams(work, eaten.to_freeze) : nil,
            portions: portions(eaten.to_freeze, food),
            all: eaten.eaten >= pack.size, kilo_minor: kilo&.round(half: :up), weeks: eaten.weeks&.round(1)&.to_f,
            portion_minor: kilo && food.serving_g && (kilo * food.serving_g / 1000).round(half: :up)
          }
        end

        # How many portions that makes, where the food has a usual one.
        def portions(grams, food)
          food.serving_g&.positive? && grams.positive? ? [(grams / food.serving_g).ceil, 1].max : nil
        end

        def grams(work, amount) = work.amount(Core::Quantity.new(amount.round.to_r, :mass))
      end
    end
  end
end
