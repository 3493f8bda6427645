# frozen_string_literal: true

require_relative "../../core/kits/endurance/question"
require_relative "../../core/value"
require_relative "../../core/work"
require_relative "stocks"
require_relative "who"

module NutShelf
  module Desk
    module Kits
      # How long the household would last on everything it has, from today: with power and water, without one, without
      # both; and what one thing more of each kind would change in the dark and dry.
      class Lasting
        # Power and running water of each column.
        COLUMNS = {
          "all" => { power: true, running_water: true }, "dark" => { power: false, running_water: true },
          "dry" => { power: true, running_water: false }, "dark_dry" => { power: false, running_water: false }
        }.freeze
        # What could be bought: a food with its pack.
        SACKS = { "canister" => nil, "water" => ["bottled-water", 5, "l"], "tins" => ["baked-beans", 400, "g"],
                  "rice" => ["white-rice", 5, "kg"] }.freeze
        # Tins come by the box.
        PACKS = { "tins" => 12 }.freeze
        CANISTER_G = 230r
        LATER = 730

        # @param work [UnitOfWork]
        # @param kit [Store::Rows::Kit, nil] whose stove, fuel and people count
        # @param freezer_fill [Rational] 0 to 1
        # @param wash_l [Rational] for a person and day
        def initialize(work, kit: nil, freezer_fill: 1r, wash_l: 0r)
          @work = work
          @kit = kit || Store::Rows::Kit.new
          @freezer_fill = freezer_fill
          @wash_l = wash_l
          @who = Who.new(work, people: @kit.people, pets: @kit.pets)
          @stocks = Stocks.new(work)
        end

        attr_reader :who

        # @return [Hash{String=>Core::Kits::Endurance::Lasting}] by column
        def columns = @columns ||= answers(COLUMNS.transform_values { |said| [asked(**said), []] })

        # @return [Hash{String=>Core::Kits::Endurance::Lasting}] in the dark and dry, by what there were one more of
        def one_more
          said = COLUMNS.fetch("dark_dry")
          @one_more ||= answers(SACKS.to_h do |name, pack|
            [name,
             pack ? [asked(**said), [sack(name, pack)]] : [asked(**said, heat_l: heat + (canister / per_litre)), []]]
          end)
        end

        # What is said to be kept for a kit may be the very canisters on the shelf, so they are not added up.
        # @return [Rational] litres brought to the boil with the fuel that is there
        def heat = @heat ||= [@kit.fuel_amount, canisters * canister].max / per_litre

        # @return [Array<Core::Kits::SupplyStack>] everything that may be eaten
        def stacks
          @stacks ||= @stocks.all.map(&:supply).reject { |one| %i[stop look].include?(one.state) }
        end

        private

        def answers(asked)
          question = Core::Kits::Endurance::Question.new(figures: figures, needs: needs, asked: asked, stacks: stacks)
          shared = Core::Work::Shared.new(key: [:catalog, *@work.shelf_key], value: @work.catalog)
          begin
            @work.services.work.ask(question, shared)
          rescue Core::Work::Undone => e
            raise unless e.again?

            Core::Work::Here.ask(question, shared)
          end
        end

        def asked(heat_l: heat, **said)
          Core::Kits::Endurance::Asked.new(
            start: @work.today, people: who.people, pets: who.pets, heat_l: heat_l, gear: @kit.gear.to_sym,
            freezer_fill: @freezer_fill, wash_l: @wash_l, **said
          )
        end

        def sack(name, (key, amount, unit))
          Core::Kits::SupplyStack.new(
            id: "more", food: @work.catalog.food(key), packs: PACKS.fetch(name, 1),
            pack: Core::Quantity.of(amount, unit), usable_until: @work.today + LATER
          )
        end

        def figures = @figures ||= Core::Kits::Figures.new(targets: @work.catalog.targets, level: @kit.level.to_sym)

        def needs = Core::Kits::Needs.new(figures, activity: @kit.activity.to_sym, hot: @kit.hot)

        def per_litre = figures.usual(@kit.fuel_row)

        def canister = @kit.canister || CANISTER_G

        # Full ones that stand on the shelf.
        def canisters
          @work.shelf.stacks.each_value.select { |stack| stack.food_key == "gas-canister" && !stack.open }
            .sum(0r, &:on_hand)
        end
      end
    end
  end
end
