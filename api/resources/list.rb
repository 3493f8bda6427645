# frozen_string_literal: true

require_relative "../base"
require_relative "../papers/list_paper"
require_relative "../views/list_view"
require_relative "../../desk/commands/add_list_line"
require_relative "../../desk/commands/change_list_line"
require_relative "../../desk/commands/mark_list_line"
require_relative "../../exchange/sheet"

module NutShelf
  module Api
    # What to buy: the list, and ticking it off in the shop.
    class List < Base
      TYPES = { "txt" => "text/plain", "csv" => "text/csv" }.freeze
      REF = /\A[a-z0-9]{8,40}\z/

      get("/") do
        days = params[:days] && number_param(:days, nil, 1..60)
        shop_id = params[:shop] && number_param(:shop, nil, 1..(10**17))
        view(:stock, :plan, :people, :rules, :list) { |work| ListView.new(work, days: days, shop_id: shop_id).call }
      end

      get("/file") do
        kind = params.fetch(:as, "txt")
        refuse("invalid", "There is no such form.", "Use txt or csv.") unless TYPES.key?(kind)
        days = params[:days] && number_param(:days, nil, 1..60)
        content_type TYPES.fetch(kind), charset: "utf-8"
        attachment "shopping-list.#{kind}"
        read_only do |work|
          paper = Papers::ListPaper.new(work, days: days)
          kind == "txt" ? paper.text : Exchange::Sheet.write(Papers::ListPaper::COLUMNS, paper.rows)
        end
      end

      post("/") { act(Desk::AddListLine, body_as("AddListLine")) }

      post("/:id") { act(Desk::ChangeListLine, { ref: ref_param, **body_as("ChangeListLine") }) }

      post("/:id/mark") { act(Desk::MarkListLine, { ref: ref_param, **body_as("MarkListLine") }) }

      helpers do
        # What devices call a line, also before the house knows of it.
        def ref_param
          ref = params[:id].to_s
          ref.match?(REF) ? ref : refuse("not_found", "There is no such line here.", "Look at the list again.")
        end
      end
    end
  end
end
