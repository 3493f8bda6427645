# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/add_food"
require_relative "../views/food_view"

module NutShelf
  module Api
    # Foods by name, and new ones.
    class Foods < Base
      get("/") do
        view(:stock, :rules) do |work|
          {
            foods:
              if params[:usual] == "yes"
                FoodView.new(work).usual(work.house.foods.usual)
              else
                FoodView.new(work).plain(found(work))
              end
          }
        end
      end

      post("/") { act(Desk::AddFood, body_as("AddFood")) }

      helpers do
        def found(work)
          text = params[:q].to_s.strip
          if text.length > 200 || text.include?("\u0000")
            refuse("invalid", "The search words cannot be used.", "Use up to 200 letters.")
          end
          text.empty? ? work.house.foods.all : work.house.foods.search(text)
        end
      end
    end
  end
end
