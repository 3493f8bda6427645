# frozen_string_literal: true

require_relative "table"
require_relative "usage"

module NutShelf
  module Store
    # The movements behind a look back, by acts that stand: as the house knows it now, what was undone never was.
    class Outcomes < Table
      # How something came in or left; what is split off one stack is another of the same.
      ALL = %w[bought made brought_in found corrected eaten cooked given_away animals composted binned lost].freeze

      MOVEMENT = %i[id act_id lot_id quantity value_minor reason why days_left looked].freeze
      ACT = %i[occurred_on sequence account_id].freeze
      LOT = %i[
        food_id dimension noun pack_amount value_estimated place_id start_place_id acquired_on made_on method history
        open
      ].freeze

      # SELECT movements.*, acts.occurred_on, acts.kind, lots.food_id, ... FROM movements JOIN acts JOIN lots WHERE
      #   acts.occurred_on BETWEEN '2026-11-01' AND '2026-11-30' AND reason <> 'split' ORDER BY movements.id
      # @param from [Date]
      # @param to [Date]
      # @return [Array<Rows::Moved>]
      def between(from, to)
        rows_as(moved.where(reason: ALL, Sequel[:acts][:occurred_on] => from..to), Rows::Moved).all
      end

      # What cooks drew and kept, to weigh the portions by.
      # @param to [Date]
      # @return [Array<Rows::Moved>]
      def cooked(to)
        found = moved.where(reason: %w[cooked made], Sequel[:acts][:kind] => "cook")
        rows_as(found.where { Sequel[:acts][:occurred_on] <= to }, Rows::Moved).all
      end

      # SELECT occurred_on, sum(value_minor) FROM movements JOIN acts ... GROUP BY 1 ORDER BY 1
      # @return [Array<Array(Date, Integer)>] by how much the stock was worth more or less after each day
      def value_by_day
        standing
          .group(Sequel[:acts][:occurred_on])
          .order(Sequel[:acts][:occurred_on])
          .select_map([Sequel[:acts][:occurred_on], Sequel.function(:sum, :value_minor).cast(:bigint).as(:value)])
      end

      # SELECT lots.food_id, acts.occurred_on, sum(quantity) FROM movements JOIN acts JOIN lots ... GROUP BY 1, 2
      # @return [Hash{Integer=>Array<Array(Date, Rational)>}] food to what there was more or less of it after each day
      #   anything changed, units of all kinds together: enough to tell when there was none
      def food_by_day
        found = with_lots(standing).group(Sequel[:lots][:food_id], Sequel[:acts][:occurred_on])
        found
          .order(Sequel[:acts][:occurred_on])
          .select_map([Sequel[:lots][:food_id], Sequel[:acts][:occurred_on], Sequel.function(:sum, :quantity).as(:sum)])
          .group_by(&:first)
          .transform_values { |list| list.map { |_, day, sum| [day, sum.to_r] } }
      end

      # SELECT food_id, observed_on, shop_id FROM price_observations WHERE shop_id IS NOT NULL ORDER BY id
      # @return [Hash{Array(Integer, Date)=>Integer}] food and day it was bought to the shop
      def shops
        rows(:price_observations)
          .exclude(shop_id: nil)
          .order(:id)
          .select_map(%i[food_id observed_on shop_id])
          .to_h { |food_id, day, shop_id| [[food_id, day], shop_id] }
      end

      # SELECT min(occurred_on) FROM acts WHERE household_id = 7
      # @return [Date, nil] the first day anything is known of
      def first_day = rows(:acts).min(:occurred_on)

      # SELECT id, name FROM accounts JOIN acts ...
      # @return [Hash{Integer=>String}] whoever did anything here
      def people
        db[:accounts].where(id: rows(:acts).select(:account_id)).select_hash(:id, :name)
      end

      # SELECT * FROM advice_answers WHERE household_id = 7 AND archived_at IS NULL ORDER BY on_date, id
      # @return [Array<Rows::AdviceAnswer>] first day first
      def answers = rows(:advice_answers).where(archived_at: nil).order(:on_date, :id).all

      # SELECT DISTINCT recipe_id FROM meals WHERE household_id = 7 AND status = 'cooked'
      # @return [Array<Integer>] versions of dishes that were cooked here
      def cooked_recipes = rows(:meals).where(status: "cooked").exclude(recipe_id: nil).distinct.select_map(:recipe_id)

      # Stacks of which somebody noted how they kept.
      # SELECT * FROM lots WHERE id IN (SELECT lot_id FROM movements ... WHERE why = 'turned') OR history @>
      #   '[{"kind": "looked"}]'
      # @return [Array<Rows::Lot>]
      def noted
        looked = Sequel.lit("history @> '[{\"kind\": \"looked\"}]'")
        rows(:lots).where(Sequel.|({ id: turned.select(Sequel[:movements][:lot_id]) }, looked)).order(:id).all
      end

      # @param lot_ids [Array<Integer>]
      # @return [Hash{Integer=>Date}] the first day some of a stack was thrown away because it had turned
      def turned_on(lot_ids) = day_of(turned.where(Sequel[:movements][:lot_id] => lot_ids), :min)

      # @param lot_ids [Array<Integer>]
      # @return [Hash{Integer=>Date}] the last day somebody ate of a stack
      def last_eaten(lot_ids)
        day_of(standing.where(Sequel[:movements][:lot_id] => lot_ids, :reason => Usage::USED), :max)
      end

      # @return [Hash{Integer=>Date}] stack to the day it came in
      def came_on = day_of(standing.where { quantity > 0 }, :min)

      private

      def turned = standing.where(reason: %w[binned composted], why: "turned")

      def day_of(found, which)
        found
          .group(Sequel[:movements][:lot_id])
          .select_hash(Sequel[:movements][:lot_id], Sequel.function(which, Sequel[:acts][:occurred_on]).as(:day))
      end

      def standing
        db[:movements]
          .join(:acts, { household_id: Sequel[:movements][:household_id], id: Sequel[:movements][:act_id] })
          .where(Sequel[:movements][:household_id] => household_id, Sequel[:acts][:undoes_act_id] => nil)
          .exclude(Sequel[:acts][:id] => taken_back)
      end

      def with_lots(found)
        found.join(:lots, { household_id: Sequel[:movements][:household_id], id: Sequel[:movements][:lot_id] })
      end

      def moved
        columns = { movements: MOVEMENT, acts: ACT, lots: LOT }.flat_map do |table, names|
          names.map { |name| Sequel[table][name] }
        end
        with_lots(standing).order(Sequel[:movements][:id]).select(*columns, Sequel[:acts][:kind].as(:act_kind))
      end
    end
  end
end
