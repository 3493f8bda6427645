# frozen_string_literal: true

require_relative "../core/value"

module NutShelf
  module Store
    # What the rows travel as that have to do with shopping.
    module Rows
      # Where somebody shops; `aisles`: in the order one walks them there.
      Shop = Core::Value.of(:id, :name, :archived_at, version: 1, aisles: [].freeze)
      # Once in a shop with a list: "open" until somebody ends it.
      Shopping =
        Core::Value.of(
          :id, :shop_id, :account_id, :on_date, :budget_minor, :archived_at, status: "open", version: 1
        )
      # A line of the list: a food, or what somebody wrote; `ref`: what devices call it, also before the house knows of
      # it. Without a shopping it waits for one. `source`: a person's "own", reckoned ("list"),
      # or the "last" of it that was taken; `amount` in base units of `dimension`; `packs`:
      # [{"amount", "dimension", "count", "price_minor"}]; `ticks`: [{"account_id", "name", "on"}], one a person;
      # `status`: "open", "ticked", "removed", put "away", or "left" in the shop.
      ListLine =
        Core::Value.of(
          :id, :shopping_id, :food_id, :account_id, :source, :amount, :dimension, :cost_minor, :paid_minor,
          :archived_at, :ref, changed_seq: 0, ticked_seq: 0, text: "", aisle: "", note: "", packs: [].freeze,
          reasons: [].freeze, estimated: false, status: "open", ticks: [].freeze, changed_by: "", version: 1
        )
      # What a household wants in the house of a food: `par` and `floor` in its base units, or `par_weeks` of what it
      # uses; `largest`: grams of the largest pack that is bought; `freeze`: as it comes home; `standing`: on the list
      # that is ticked as things run out; `silent_until`: nothing is asked for until then.
      Want =
        Core::Value.of(
          :id, :food_id, :par, :par_weeks, :floor, :silent_until, :archived_at, :largest, standing: false,
          silent_because: "", freeze: false, version: 1
        )
      # What the household answered to an advice of the look back: "taken" or "declined"; minor units it would have
      # saved.
      AdviceAnswer = Core::Value.of(:id, :food_id, :kind, :answer, :on_date, :saving_minor, :archived_at, version: 1)
    end
  end
end
