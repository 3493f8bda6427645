# frozen_string_literal: true

require_relative "../base"
require_relative "../../core/dating/cautions"
require_relative "../../core/reference/guide"
require_relative "../../core/usage/runs_out"
%w[archive_food change_food drop_keeping merge_food].each { |name| require_relative "../../desk/acts/#{name}" }
require_relative "../../desk/acts/set_food"
require_relative "../../desk/acts/set_keeping"
require_relative "../../desk/slots"
require_relative "../../desk/usage_rates"
require_relative "../views/advice_view"
require_relative "../views/food_view"

module NutShelf
  module Api
    # How to keep each food, by the household's school and with its own times.
    class Keeping < Base
      get("/:id") { view(:stock, :plan, :people, :rules, :list) { |work| page(work, id_param) } }

      post("/:id/own") { act(Desk::SetKeeping, { food_id: id_param, **body_as("SetKeeping") }) }

      post("/:id/drop") { act(Desk::DropKeeping, body_as("DropKeeping").merge(food_id: id_param)) }

      post("/:id/figures") { act(Desk::SetFood, { food_id: id_param, **body_as("SetFood") }) }

      post("/:id/food") { act(Desk::ChangeFood, { food_id: id_param, **body_as("ChangeFood") }) }

      post("/:id/merge") { act(Desk::MergeFood, { food_id: id_param, **body_as("MergeFood") }) }

      post("/:id/archive") do
        body_as("Nothing")
        act(Desk::ArchiveFood, { food_id: id_param })
      end

      helpers do
        def page(work, id)
          row = work.food_row(id)
          food = work.food(id)
          guide = Core::Guide.new(work.catalog, food, work.policy)
          {
            food_id: id,
            food: row.name,
            aisle: row.aisle,
            school: work.policy.school_words,
            opened_where: food.opened_where,
            freezes: food.freezes,
            freeze_note: food.freeze_note.to_s,
            thaw_hours_per_kg: food.thaw_hours_fridge && Core::Decimal.print(food.thaw_hours_fridge),
            tolerance_days: food.past_date_tolerance_days,
            high_risk: food.high_risk,
            no_opened_limit: food.no_opened_limit,
            table:
              guide.table.map do |line|
                { situation: line.situation, places: line.places.map { |place, one| cell(place, one) } }
              end,
            methods:
              guide.methods_compared.map do |one|
                {
                  place: one.place,
                  state: one.state,
                  storage: one.storage,
                  words: one.storage_words,
                  low: one.low,
                  high: one.high,
                  advice: one.method.to_s,
                  own: !one.own_reason.nil?
                }
              end,
            signs: guide.signs,
            cautions: cautions(guide, food),
            care: guide.care,
            losses: guide.losses,
            own: own(work, food),
            figures: figures(work, row),
            known: known(work, row, food),
            revival: guide.revival,
            season: season(work, food),
            want: want(work, id),
            here: here(work, id)
          }
        end

        # How long it keeps here, by the household's own notes.
        def here(work, id)
          told = AdviceView.new(work, nil)
          Desk::LookingBack::Keeping.new(work).all(id).map { |one| told.learnt(one) }
        end

        # What the household always wants in the house of it.
        def want(work, id)
          want = work.house.shopping.want(id)
          amounts = %i[par par_weeks floor largest].to_h { |name| [name, want&.public_send(name)] }
          { **amounts.transform_values { |one| one && Core::Decimal.print(one) }, standing: want&.standing || false,
                                                                                  freeze: want&.freeze || false }
        end

        # The months in force here, and whether the household says them.
        def season(work, food)
          return if food.season.empty?

          slots = Desk::Slots.new(work)
          own = slots.seasons[food.key]
          { key: food.key, months: own || food.season.fetch(slots.season_region, []), own: !own.nil? }
        end

        # What a keeper may put right of it.
        def known(work, row, food)
          {
            own: row.reference_key.nil?,
            version: row.version,
            name: row.name,
            nicknames: row.nicknames,
            allergens: food.allergens.to_a,
            packs: FoodView.new(work).packs(row),
            mark: FoodView.new(work).mark(row),
            food_group: row.food_group,
            home_place_id: row.home_place_id,
            like: like(work, row)
          }
        end

        def like(work, row)
          return unless row.class_key && !row.reference_key

          work.catalog.foods[row.class_key]&.name || work.catalog.class_names[row.class_key]
        end

        def cell(place, one)
          row = one.row
          unless row
            return (
              {
                place: place,
                days: nil,
                span: nil,
                words: nil,
                kind: nil,
                advice: "",
                reason: one.reason.to_s,
                own_reason: nil,
                unsafe: one.outcome == :unsafe,
                state: nil
              }
            )
          end

          {
            place: place,
            days: one.days,
            span: row.span,
            words: row.span_words,
            kind: row.kind.to_s,
            advice: row.method.to_s,
            reason: "",
            own_reason: row.own_reason,
            unsafe: false,
            state: row.place == place ? row.state : nil
          }
        end

        def cautions(guide, food)
          # The page speaks of the food once its seal is broken.
          (
            guide.cautions.map { |text| "#{text.chomp(".")}." } + Core::Cautions.of(food, perishable: food.high_risk)
          ).uniq
        end

        def own(work, food)
          work.house.rules.all.select { |row| row.scope == food.key }.map do |row|
            {
              **row.slice(:id, :place, :state, :low, :high, :kind, :reason),
              storage: row.storage.empty? ? nil : row.storage
            }
          end
        end

        def figures(work, row)
          rate = Desk::UsageRates.new(work).rate(row.id, row.dimension)
          {
            dimension: row.dimension,
            weekly: rate.known? ? Core::Decimal.print(rate.weekly.round(1)) : nil,
            steps: rate.steps,
            runs_out: runs_out(work, row, rate),
            **row.slice(:working_amount, :weekly_said, :g_per_ml, :g_per_piece).transform_values do |figure|
              figure && Core::Decimal.print(figure)
            end
          }
        end

        # When what is free of it will be used up, with the days between which that is likely.
        def runs_out(work, row, rate)
          stacks = work.shelf.stacks.each_value.select do |stack|
            stack.food_id == row.id && stack.dimension.to_s == row.dimension && stack.noun.nil? &&
              !stack.quarantined && !stack.unfit?(work.today)
          end
          found = Core::RunsOut.of(stacks.sum(0r, &:free), rate, today: work.today)
          found&.to_h&.transform_values(&:iso8601)
        end
      end
    end
  end
end
